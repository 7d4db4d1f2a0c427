/** Three wishes rarely meet: what gave way, by how much, and both ways out as one touch each. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, formatWithUnit } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { GaveWay, Plan, WayOut } from '@fox-tempo/core/setting/plan';
import { type UnitSystem } from '@fox-tempo/core/base/units';
import { useSettings } from '../../session/settings.ts';
import { Action } from '../../ui/action.tsx';
import type { DraftStore } from '../../sheet/draft-store.ts';

export function GaveWayPart({ plan, store }: { readonly plan: Plan; readonly store: DraftStore }) {
  const units = useSettings((state) => state.units);
  const ways = plan.gaveWay[0]?.waysOut ?? [];
  if (plan.gaveWay.length === 0) return null;
  const take = (way: WayOut) =>
    store.getState().edit(
      (sheet) => ({
        ...sheet,
        spec: {
          ...sheet.spec,
          ...(way.code === 'own-pace' ? { travelMmPerMin: way.travelMmPerMin } : { legMm: way.legMm }),
        },
      }),
      'way-out',
    );
  return (
    <Box
      as="section"
      aria-label={t('view.seams.what-gave-way')}
      borderStartWidth="3px"
      borderColor="ochre"
      bg="surface"
      px="3"
      py="2"
      fontSize="small"
    >
      <Box>
        <Box as="strong">{t('view.seams.misfit')}</Box> {plan.gaveWay.map((one) => said(one, units)).join('; ')}.
      </Box>
      {ways.length > 0 && (
        <Box display="flex" flexWrap="wrap" gap="2" mt="1.5">
          {ways.map((way) => (
            <Action key={way.code} onClick={() => take(way)}>
              {way.code === 'own-pace'
                ? t('view.seams.own-travel', { travel: formatWithUnit(way.travelMmPerMin, 'travel', units) })
                : `${plan.legMm !== null && way.legMm > plan.legMm ? t('view.seams.a-larger-leg') : t('view.seams.another-leg')}: ${formatWithUnit(way.legMm, 'shortLength', units)}`}
            </Action>
          ))}
        </Box>
      )}
    </Box>
  );
}

const names: Record<GaveWay['wish'], string> = {
  current: t('view.machines.current'),
  travel: t('view.sheet.travel-speed'),
  size: t('view.seams.weld-size'),
};
const quantities = { A: 'current', 'mm/min': 'travel', 'mm²': 'area' } as const;

function said({ wish, by, value, wished, unit }: GaveWay, units: UnitSystem): string {
  const of = quantities[unit];
  return t('view.seams.is-the-wished', {
    wish: names[wish],
    figure: formatWithUnit(value, of, units),
    percent: amount('percent', Math.abs(100 * by), 0),
    side: by > 0 ? 'over' : 'other',
    target: formatWithUnit(wished, of, units),
  });
}
