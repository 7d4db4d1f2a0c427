/** One thermometer reading corrects all warmth, or is told why it cannot be of this place and moment. */
import { Box } from '@chakra-ui/react';
import { amount } from '@fox-tempo/core/base/messages';
import { frameLines, type ReadingVerdict } from '@fox-tempo/core/weld/soak';
import { t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import type { LayoutProps } from './inputs.tsx';
import { shapeOf } from './layout.ts';
import { faceName, facesShown } from './names.ts';

export function Thermometer({
  seam,
  layout,
  set,
  verdict,
}: LayoutProps & {
  /** null: no reading was typed. */
  readonly verdict: ReadingVerdict | null;
}) {
  const reading = layout.reading ?? {
    xMm: layout.lengthMm / 2,
    yMm: layout.widthMm / 2,
    on: 0,
    atS: 60,
    tempC: layout.ambientC,
  };
  const shape = shapeOf(layout, seam.spec);
  const keep = `heat/${seam.id}/reading`;
  const put = (change: Partial<typeof reading>) => set({ reading: { ...reading, ...change } });
  return (
    <Panel title={t('view.heat.a-thermometer-reading')}>
      <Box display="grid" gap="2" gridTemplateColumns="1fr 1fr">
        {shape.kind === 'box' && (
          <Box gridColumn="1 / -1">
            <ChoiceField
              label={t('view.heat.face')}
              value={String(reading.on ?? 0)}
              choices={facesShown(shape.lid).map((face, at) => ({ value: String(at), label: faceName(face) }))}
              onChange={(on) => put({ on: Number(on) })}
            />
          </Box>
        )}
        {shape.kind === 'frame' ? (
          <Box gridColumn="1 / -1">
            <ChoiceField
              label={t('view.heat.at-joint')}
              value={String(reading.on ?? 0)}
              choices={frameLines(shape).joints.map((_, joint) => ({
                value: String(joint),
                label: t('view.heat.joint', { joint: joint + 1 }),
              }))}
              onChange={(on) => put({ on: Number(on) })}
            />
          </Box>
        ) : (
          <>
            <ValueField
              label="x"
              of="length"
              value={reading.xMm}
              keep={`${keep}/x`}
              range={[0, 5000]}
              step={5}
              follows
              onValue={(value) => value !== null && put({ xMm: value })}
            />
            <ValueField
              label="y"
              of="length"
              value={reading.yMm}
              keep={`${keep}/y`}
              range={[0, 5000]}
              step={5}
              follows
              onValue={(value) => value !== null && put({ yMm: value })}
            />
          </>
        )}
        <ValueField
          label={t('view.heat.after-seconds')}
          of="phaseTime"
          value={reading.atS}
          keep={`${keep}/at`}
          range={[0, 36_000]}
          step={5}
          follows
          onValue={(value) => value !== null && put({ atS: value })}
        />
        <ValueField
          label={t('view.heat.it-read')}
          of="temperature"
          value={reading.tempC}
          keep={`${keep}/temp`}
          range={[-20, 700]}
          step={1}
          follows
          onValue={(value) => value !== null && put({ tempC: value })}
        />
      </Box>
      {verdict && (
        <Box display="grid" gap="2" fontSize="small" mt="2">
          {verdict.says === 'contradicts' ? (
            <Notice level="caution">
              {t('view.heat.reading-contradicts', {
                read: amount('temperature', reading.tempC, 0),
                predicted: amount('temperature', verdict.predictedC, 0),
                seconds: amount('phaseTime', reading.atS, 0),
              })}{' '}
              {verdict.warmAtS === null
                ? t('view.heat.never-so-warm')
                : t('view.heat.predicted', { seconds: amount('phaseTime', verdict.warmAtS, 0) })}
            </Notice>
          ) : (
            <Box>
              {verdict.says === 'nothing'
                ? t('view.heat.still-cold')
                : t('view.heat.all-warmth-times', { factor: amount('plain', verdict.factor, 2) })}
            </Box>
          )}
          <Box display="flex" gap="2" flexWrap="wrap" justifyContent="flex-end">
            {verdict.says === 'contradicts' && verdict.warmAtS !== null && (
              <Action onClick={() => put({ atS: Math.round(verdict.warmAtS ?? 0) })}>
                {t('view.heat.was-after', { seconds: amount('phaseTime', verdict.warmAtS, 0) })}
              </Action>
            )}
            <Action kind="quiet" onClick={() => set({ reading: null })}>
              {t('view.heat.without')}
            </Action>
          </Box>
        </Box>
      )}
    </Panel>
  );
}
