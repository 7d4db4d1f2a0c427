/** What one unit of a one-number swing dial means, from two tests: the slow levels are read at two values, the scale is the line through both. */
import { type Phrase, amount, bare, message } from '../../base/messages/index.ts';
import { failure, success, type Issue, type Outcome } from '../../base/outcome/index.ts';
import { rangeIssue } from '../../base/outcome/range.ts';
import type { Dial } from '../description/machine.ts';
import { notOnDial } from '../dials/on-dial.ts';

/** The slow levels of one test bead, as the machine shows them in feed. */
export interface SwingReading {
  readonly dialValue: number;
  readonly highFeedMPerMin: number;
  readonly lowFeedMPerMin: number;
}

export interface SwingScale {
  /** What changes of the dial's scale. */
  readonly scale: { readonly quantityAtNeutral: number; readonly quantityPerUnit: number };
  /** Swing each way of the mean at each reading, percent. */
  readonly swingPercent: readonly [number, number];
  readonly meanFeedMPerMin: readonly [number, number];
  readonly perUnitPercent: number;
  readonly because: Phrase;
}

/** Less than this between two readings says nothing about a unit, percent of the mean; the noise of a display's last digit (assumed). */
const leastApartPercent = 2;

/**
 * The dial with the scale that two readings make: swing = 100 (high - low) / (high + low), each way of the mean.
 * Issues: `no-swing-dial`, `not-on-dial`, ranges, `high-below-low`, `same-value`, `too-near`.
 */
export function swingFromTests(dial: Dial, readings: readonly [SwingReading, SwingReading]): Outcome<SwingScale> {
  const { scale } = dial;
  if (scale.kind !== 'linear' || scale.quantity !== 'beatSwingPercent') {
    return failure({
      path: 'dial',
      code: 'no-swing-dial',
      message: message('machine.unit.not-the-dial', { dial: dial.label }),
      got: dial.id,
    });
  }
  const issues = readings.flatMap((reading, index) => issuesOf(dial, reading, `readings.${index}`));
  if (issues.length > 0) return failure(...issues);
  const [one, two] = readings;
  const swings = [swingOf(one), swingOf(two)] as const;
  const apart = two.dialValue - one.dialValue;
  if (apart === 0) {
    return failure({
      path: 'readings.1.dialValue',
      code: 'same-value',
      message: message('machine.unit.same-value', { dialValue: one.dialValue }),
      got: two.dialValue,
    });
  }
  if (Math.abs(swings[1] - swings[0]) < leastApartPercent) {
    return failure({
      path: 'readings.1.highFeedMPerMin',
      code: 'too-near',
      message: message('machine.unit.swings-alike', {
        first: bare('percent', swings[0], 1),
        second: amount('percent', swings[1], 1),
        leastApart: amount('percent', leastApartPercent),
      }),
      limit: leastApartPercent,
      got: Number(Math.abs(swings[1] - swings[0]).toFixed(2)),
      hint: message('machine.unit.further-apart'),
    });
  }
  const perUnit = (swings[1] - swings[0]) / apart;
  const atNeutral = swings[0] + perUnit * (scale.neutral - one.dialValue);
  const words = (reading: SwingReading, swing: number) =>
    `at ${reading.dialValue}: (${reading.highFeedMPerMin} − ${reading.lowFeedMPerMin}) / (${reading.highFeedMPerMin} + ${reading.lowFeedMPerMin}) = ${swing.toFixed(1)} %`;
  return success({
    scale: { quantityAtNeutral: atNeutral, quantityPerUnit: perUnit },
    swingPercent: swings,
    meanFeedMPerMin: [meanOf(one), meanOf(two)],
    perUnitPercent: perUnit,
    because: message('machine.because.swing-unit', {
      first: words(one, swings[0]),
      second: words(two, swings[1]),
      perUnit: amount('percent', perUnit, 2),
      neutral: scale.neutral,
      atNeutral: amount('percent', atNeutral, 1),
    }),
  });
}

function issuesOf(dial: Dial, reading: SwingReading, path: string): Issue[] {
  const { dialValue, highFeedMPerMin: high, lowFeedMPerMin: low } = reading;
  const feeds = (
    [
      ['highFeedMPerMin', high],
      ['lowFeedMPerMin', low],
    ] as const
  ).flatMap(([field, value]) => {
    const issue = rangeIssue('wireFeedMPerMin', value, `${path}.${field}`);
    return issue ? [issue] : [];
  });
  const order: Issue[] =
    feeds.length === 0 && high <= low
      ? [
          {
            path: `${path}.highFeedMPerMin`,
            code: 'high-below-low',
            message: message('machine.error.level-order', {
              high: amount('wireFeed', high),
              low: amount('wireFeed', low),
            }),
            limit: low,
            got: high,
          },
        ]
      : [];
  return [...notOnDial(dial, dialValue), ...feeds, ...order];
}

function swingOf({ highFeedMPerMin: high, lowFeedMPerMin: low }: SwingReading): number {
  return (100 * (high - low)) / (high + low);
}

function meanOf({ highFeedMPerMin: high, lowFeedMPerMin: low }: SwingReading): number {
  return (high + low) / 2;
}
