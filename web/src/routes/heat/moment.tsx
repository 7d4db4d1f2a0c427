/** Any moment of it, by slider or played. */
import { Box } from '@chakra-ui/react';
import { amount } from '@fox-tempo/core/base/messages';
import type { OrderedSoak, PartShape } from '@fox-tempo/core/weld/soak';
import { useEffect, useMemo, useState } from 'react';
import { t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { Panel } from '../../ui/panel.tsx';
import { FieldPicture, WarmthScale } from './field-picture.tsx';
import { linesOf, type Layout } from './layout.ts';

export function Moment({
  layout,
  shape,
  found,
}: {
  readonly layout: Layout;
  readonly shape: PartShape;
  readonly found: OrderedSoak;
}) {
  const total = Math.ceil(found.endsAtS + 60);
  const [atS, setAtS] = useState(Math.round(found.endsAtS));
  const [plays, setPlays] = useState(false);
  useEffect(() => {
    if (!plays) return undefined;
    const timer = setInterval(
      () => setAtS((before) => (before >= total ? 0 : before + Math.max(total / 200, 0.5))),
      120,
    );
    return () => clearInterval(timer);
  }, [plays, total]);
  const shown = Math.min(atS, total);
  const hottestC = useMemo(
    () =>
      Math.max(...found.soaked.seams.flatMap(({ aheadC }) => aheadC.map(([, tempC]) => tempC)), layout.ambientC + 50),
    [found, layout.ambientC],
  );
  const seams = useMemo(() => {
    const lines = linesOf(layout, shape);
    return found.order.flatMap((at, place) => {
      const line = lines[at];
      return line ? [{ from: line.from, to: line.to, place: place + 1 }] : [];
    });
  }, [layout, shape, found]);
  return (
    <Panel
      title={t('view.heat.part-after', { seconds: amount('phaseTime', shown, 0) })}
      aside={
        <Action kind="quiet" my="-3" onClick={() => setPlays(!plays)}>
          {plays ? t('view.heat.stop') : t('view.heat.play')}
        </Action>
      }
    >
      <Box display="grid" gap="2">
        <FieldPicture
          shape={shape}
          soaked={found.soaked}
          seams={seams}
          atS={shown}
          ambientC={layout.ambientC}
          hottestC={hottestC}
        />
        <WarmthScale ambientC={layout.ambientC} hottestC={hottestC} />
        <input
          type="range"
          aria-label={t('view.heat.moment')}
          min={0}
          max={total}
          step={1}
          value={shown}
          style={{ width: '100%', height: 44, accentColor: 'var(--chakra-colors-accent)' }}
          onChange={(event) => setAtS(Number(event.target.value))}
        />
      </Box>
    </Panel>
  );
}
