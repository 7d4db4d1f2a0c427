/** One dial of a card: what to set, what it reaches, how far that misses. */
import type { Phrase } from '../../base/messages/index.ts';
import type { BothReadings } from '../teaching/direction.ts';
import type { DialQuantity } from '../description/quantities.ts';
import type { Facet } from '../description/scales.ts';

export interface DialSetting {
  readonly dialId: string;
  readonly label: string;
  readonly where: string;
  readonly unit: string;
  readonly hand: 'free' | 'fixed';
  readonly quantity: DialQuantity | Facet | 'chart-line';
  /** What to set; for a switch the index of its position. */
  readonly value: number;
  /** Nobody has measured what one unit is: `value` is the neutral, and only the way to turn is known. */
  readonly turn?: 'up' | 'down' | 'stay';
  /** `value` as that machine shows it. */
  readonly display: string;
  /** Which way it runs, in words; absent where the dial has no sense. */
  readonly sense?: Phrase;
  /** Which level of a slow beat the figure is, where the dial alone does not say it. */
  readonly level?: Phrase;
  /** Absent for chart lines and named positions. */
  readonly wishedQuantity?: number;
  readonly reachedQuantity?: number;
  /** Reached minus wished, in the quantity's unit. */
  readonly error?: number;
  /** Most that rounding to the dial's step explains. */
  readonly halfStep?: number;
  readonly clipped: boolean;
  /** While nobody has tried which way the dial runs: both readings and what follows. */
  readonly bothReadings?: BothReadings;
}
