/** Names, units and steps of the map's axes, and how a direction on it is said. */
import { t } from '../../lib/words.ts';
import type { AxisRange, MapAxis, Margin } from '@fox-tempo/core/zone-map';

export const axisWords: Record<
  MapAxis,
  { readonly name: string; readonly unit: string; readonly digits: number; readonly step: number }
> = {
  wireFeedMPerMin: { name: t('view.bench.wire-feed-2'), unit: 'm/min', digits: 1, step: 0.1 },
  trimMm: { name: t('view.bench.trim'), unit: 'mm', digits: 1, step: 0.1 },
  stiffness: { name: t('view.bench.soft-to-stiff-2'), unit: '', digits: 0, step: 1 },
  ctwdMm: { name: t('view.bench.stick-out-2'), unit: 'mm', digits: 1, step: 0.5 },
  backgroundCurrentA: { name: t('view.bench.fast-background'), unit: 'A', digits: 0, step: 2 },
};

export function directionWords(direction: Margin['direction'], x: AxisRange, y: AxisRange): string {
  const axis = direction.startsWith('x') ? x.axis : y.axis;
  const { unit, name } = axisWords[axis];
  return t(direction.endsWith('up') ? 'view.bench.more-of' : 'view.bench.less-of', { unit, name }).trim();
}
