/** Names, kinds and steps of the map's axes, and how a figure or a direction on it is said. */
import { spoken, t, unitShown } from '../../lib/words.ts';
import type { QuantityName } from '@fox-tempo/core/base/units';
import type { AxisRange, MapAxis, Margin } from '@fox-tempo/core/weld/zone-map';

export const axisWords: Record<
  MapAxis,
  { readonly name: string; readonly kind: QuantityName; readonly digits: number; readonly step: number }
> = {
  wireFeedMPerMin: { name: t('view.simulator.axis.feed'), kind: 'wireFeed', digits: 1, step: 0.1 },
  trimMm: { name: t('view.simulator.trim'), kind: 'shortLength', digits: 1, step: 0.1 },
  stiffness: { name: t('view.simulator.axis.stiffness'), kind: 'plain', digits: 0, step: 1 },
  ctwdMm: { name: t('view.simulator.axis.ctwd'), kind: 'shortLength', digits: 1, step: 0.5 },
  backgroundCurrentA: { name: t('view.simulator.fast-background'), kind: 'current', digits: 0, step: 2 },
};

/** The unit of an axis, empty where it only counts. */
export function axisUnit(axis: MapAxis): string {
  return unitShown(axisWords[axis].kind).label;
}

/** A figure of an axis with its unit. */
export function axisFigure(axis: MapAxis, figure: number): string {
  const { kind, digits } = axisWords[axis];
  return spoken().quantity(figure, kind, digits);
}

export function directionWords(direction: Margin['direction'], x: AxisRange, y: AxisRange, by: number): string {
  const { axis } = direction.startsWith('x') ? x : y;
  return t(direction.endsWith('up') ? 'view.simulator.more-of' : 'view.simulator.less-of', {
    unit: axisFigure(axis, by),
    name: axisWords[axis].name,
  });
}
