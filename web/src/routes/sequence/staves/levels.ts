/** Levels said in percent of main, as feed or as current: each with the others beside it, whichever the welder's machine speaks. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, format, fixed, unitShown } from '../../../lib/words.ts';
import type { ElectricalOf } from '@fox-tempo/core/weld/score';

export const levelUnits = ['percent', 'feed', 'current'] as const;
export type LevelUnit = (typeof levelUnits)[number];

export function levelUnitName(unit: LevelUnit): string {
  if (unit === 'percent') return t('view.sequence.of-main');
  return unitShown(unit === 'feed' ? 'wireFeed' : 'current').label;
}

export interface LevelScale {
  readonly feedMPerMin: number;
  readonly electrical: ElectricalOf;
}

export function levelText(percent: number, unit: LevelUnit, { feedMPerMin, electrical }: LevelScale): string {
  const feed = (feedMPerMin * percent) / 100;
  if (unit === 'feed') return format(amount('wireFeed', feed, 1));
  if (unit === 'current') return format(amount('current', electrical.at(feed).currentA, 0));
  return `${fixed(percent, 0)} %`;
}

/** The other ways of saying a level, for the line under it. */
export function otherLevels(percent: number, unit: LevelUnit, scale: LevelScale): string {
  return levelUnits
    .filter((other) => other !== unit)
    .map((other) => levelText(percent, other, scale))
    .join(', ');
}

/** Percent from a level typed in a unit; undefined for a current that no feed of this wire makes. */
export function percentFrom(
  value: number,
  unit: LevelUnit,
  { feedMPerMin, electrical }: LevelScale,
): number | undefined {
  if (unit === 'percent') return value;
  if (unit === 'feed') return (100 * value) / feedMPerMin;
  // Current rises with feed: halved down to a hundredth of a percent.
  let low = 1;
  let high = 400;
  if (electrical.at((feedMPerMin * high) / 100).currentA < value) return undefined;
  for (let round = 0; round < 24; round++) {
    const middle = (low + high) / 2;
    if (electrical.at((feedMPerMin * middle) / 100).currentA < value) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

export function levelIn(percent: number, unit: LevelUnit, { feedMPerMin, electrical }: LevelScale): number {
  const feed = (feedMPerMin * percent) / 100;
  if (unit === 'feed') return feed;
  return unit === 'current' ? electrical.at(feed).currentA : percent;
}
