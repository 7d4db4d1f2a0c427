/** Names, units and steps of the map's axes, and how a direction on it is said. */
import type { AxisRange, MapAxis, Margin } from '@fox-tempo/core/zone-map';

export const axisWords: Record<
  MapAxis,
  { readonly name: string; readonly unit: string; readonly digits: number; readonly step: number }
> = {
  wireFeedMPerMin: { name: 'wire feed', unit: 'm/min', digits: 1, step: 0.1 },
  trimMm: { name: 'trim', unit: 'mm', digits: 1, step: 0.1 },
  stiffness: { name: 'soft to stiff', unit: '', digits: 0, step: 1 },
  ctwdMm: { name: 'stick-out', unit: 'mm', digits: 1, step: 0.5 },
  backgroundCurrentA: { name: 'fast background', unit: 'A', digits: 0, step: 2 },
};

export function directionWords(direction: Margin['direction'], x: AxisRange, y: AxisRange): string {
  const axis = direction.startsWith('x') ? x.axis : y.axis;
  const { unit, name } = axisWords[axis];
  return `${unit} ${direction.endsWith('up') ? 'more' : 'less'} ${name}`.trim();
}
