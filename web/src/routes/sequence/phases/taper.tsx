/** The taper: how warm the plate ahead of the arc gets along the seam, the level that leaves, and where a tap to the second level fits. */
import { amount } from '@fox-tempo/core/base/messages';
import { useSettings } from '../../../session/settings.ts';
import { saidIssues, formatQuantity, t, format, fixed, unitShown } from '../../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { taperPlan, taperRanges, type ScoreOf } from '@fox-tempo/core/weld/score';
import { schoolFacts } from '@fox-tempo/core/weld/sequence';
import { Action } from '../../../ui/action.tsx';
import { useKeptForm } from '../../../ui/kept-text.ts';
import { Notice } from '../../../ui/notice.tsx';
import { Panel } from '../../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../../ui/table.tsx';
import { ValueField } from '../../../ui/value-field.tsx';
import type { Score } from '../use-score.ts';

export function TaperPanel({
  seamId,
  score,
  whole,
}: {
  readonly seamId: string;
  readonly score: Score;
  readonly whole: ScoreOf;
}) {
  const [asked, ask] = useKeptForm(`taper/${seamId}`, { sideMm: 60, plateC: 20 });
  const { program, thicknessMm } = whole;
  const outcome = taperPlan({ program, lengthMm: whole.score.lengthMm, thicknessMm, ...asked });
  const units = useSettings((state) => state.units);
  const heads = [
    t('view.sequence.at-unit', { unit: unitShown('length').label }),
    t('view.sequence.ahead-unit', { unit: unitShown('temperature').label }),
    t('view.sequence.level'),
    t('view.sequence.band'),
    unitShown('wireFeed').label,
  ];
  const hasSecond = schoolFacts[program.sequence.trigger].second;
  return (
    <Panel title={t('view.sequence.taper.title')} px="4" py="3">
      <Box display="grid" gap="2" gridTemplateColumns="1fr 1fr">
        <ValueField
          label={t('view.sequence.taper.sides')}
          of="length"
          value={asked.sideMm}
          keep={`taper/${seamId}/side`}
          range={taperRanges.sideMm}
          onValue={(sideMm) => sideMm !== null && ask({ ...asked, sideMm })}
        />
        <ValueField
          label={t('view.sequence.taper.plate-start')}
          of="temperature"
          value={asked.plateC}
          keep={`taper/${seamId}/plate`}
          range={taperRanges.plateC}
          onValue={(plateC) => plateC !== null && ask({ ...asked, plateC })}
        />
      </Box>
      {!outcome.ok && <Notice level="refusal">{saidIssues(outcome.issues)}</Notice>}
      {outcome.ok && (
        <>
          <Table label={t('view.sequence.taper.stations')} mt="2">
            <Heads names={heads} right={heads} />
            <tbody>
              {outcome.value.stations
                .filter((_, at) => at % 2 === 0)
                .map(({ mm, aheadC, levelPercent, band }) => (
                  <tr key={mm}>
                    <Cell figure py="1">
                      {formatQuantity(mm, 'length', units).text}
                    </Cell>
                    <Cell figure py="1">
                      {formatQuantity(aheadC, 'temperature', units).text}
                    </Cell>
                    <Cell figure py="1">
                      {fixed(levelPercent, 0)} %
                    </Cell>
                    <Cell figure py="1" color="quiet" fontSize="small">
                      {t('view.sequence.to', { least: amount('plain', band[0], 0), most: amount('plain', band[1], 0) })}
                    </Cell>
                    <Cell figure py="1">
                      {formatQuantity((program.wireFeedMPerMin * levelPercent) / 100, 'wireFeed', units).text}
                    </Cell>
                  </tr>
                ))}
            </tbody>
          </Table>
          <Box textStyle="label" color="quiet" mt="2">
            {format(outcome.value.because)}
          </Box>
          {outcome.value.tapAtMm !== null && (
            <Box mt="2">
              {hasSecond ? (
                <Action
                  disabled={
                    program.sequence.tapsAtMm.length === 1 && program.sequence.tapsAtMm[0] === outcome.value.tapAtMm
                  }
                  onClick={() => score.edit({ tapsAtMm: [outcome.value.tapAtMm ?? 1] }, t('view.sequence.taper-tap'))}
                >
                  {t('view.sequence.taper.put-tap', { tapAt: amount('length', outcome.value.tapAtMm) })}
                </Action>
              ) : (
                <Box fontSize="small">
                  {t('view.sequence.taper.needs-second-level', { tapAt: amount('length', outcome.value.tapAtMm) })}
                </Box>
              )}
            </Box>
          )}
        </>
      )}
    </Panel>
  );
}
