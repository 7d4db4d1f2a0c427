/**
 * What one unit of a dial is on this machine, from two short beads: of an arc length dial from the volts that the panel shows, of a feed dial from the
 * leg and the travel speed. Until then nobody knows it, and a card gives the direction alone.
 */
import type { WireInGas } from '../../metal/arc/index.ts';
import { feedForArea, filletAreaMm2 } from '../../setting/bead/index.ts';
import { failure, rangeIssues, success, type Issue, type Outcome } from '../../base/outcome/index.ts';
import { amount, message, type Phrase } from '../../base/messages/index.ts';
import type { Dial } from '../description/machine.ts';
import { notOnDial } from '../dials/on-dial.ts';

/** One bead at one value of the dial. Volts for an arc length dial; leg and travel speed for a feed dial. */
export interface UnitReading {
  readonly dialValue: number;
  readonly voltageV?: number | undefined;
  readonly legMm?: number | undefined;
  readonly travelMmPerMin?: number | undefined;
}

export interface UnitScale {
  readonly scale: { readonly quantityAtNeutral: number; readonly quantityPerUnit: number };
  /** The quantity at each reading, mm against the first or m/min. */
  readonly at: readonly [number, number];
  readonly because: Phrase;
}

/** What is measured with, by the quantity that a dial moves. */
export const unitMeasures = { trimMm: 'voltageV', wireFeedMPerMin: 'legMm' } as const;
export type MeasuredQuantity = keyof typeof unitMeasures;

/** Less than this between the two beads is the noise of a panel's last digit or of a leg gauge; assumed. */
const leastApart = { trimMm: 0.5, wireFeedMPerMin: 0.5 } as const;

/** The quantity that two beads can measure on a dial; undefined where they cannot. */
export function measurable({ scale }: Pick<Dial, 'scale'>): MeasuredQuantity | undefined {
  if (scale.kind !== 'linear') return undefined;
  return scale.quantity === 'trimMm' || scale.quantity === 'wireFeedMPerMin' ? scale.quantity : undefined;
}

/**
 * Arc length: mm a unit = ΔU / E / Δdial. Feed: area of the leg × travel = feed × section × yield. Issues: `not-measurable`, `missing`,
 * `not-on-dial`, ranges, `same-value`, `too-near`, `negative-feed`.
 */
export function unitFromTests(
  dial: Dial,
  wire: WireInGas,
  readings: readonly [UnitReading, UnitReading],
): Outcome<UnitScale> {
  const { scale } = dial;
  const quantity = measurable(dial);
  if (scale.kind !== 'linear' || quantity === undefined)
    return failure({
      path: 'dial',
      code: 'not-measurable',
      message: message('machine.unit.not-measurable', { dial: dial.label }),
      got: dial.id,
    });
  const issues = readings.flatMap((reading, at) => readingIssues(dial, quantity, reading, `readings.${at}`));
  if (issues.length > 0) return failure(...issues);
  const [one, two] = readings;
  const apart = two.dialValue - one.dialValue;
  if (apart === 0)
    return failure({
      path: 'readings.1.dialValue',
      code: 'same-value',
      message: message('machine.unit.same-value', { dialValue: one.dialValue }),
      got: two.dialValue,
    });
  const figures = [figureOf(quantity, wire, one, one), figureOf(quantity, wire, two, one)] as const;
  const by = figures[1] - figures[0];
  if (Math.abs(by) < leastApart[quantity])
    return failure({
      path: `readings.1.${unitMeasures[quantity]}`,
      code: 'too-near',
      message: message('machine.unit.beads-alike', { dial: dial.label }),
      limit: leastApart[quantity],
      got: Number(Math.abs(by).toFixed(2)),
      hint: message('machine.unit.further-apart'),
    });
  const quantityPerUnit = by / apart;
  // Where the arc's line lies is the machine's own neutral; a feed has no neutral of its own.
  const quantityAtNeutral =
    quantity === 'trimMm' ? scale.quantityAtNeutral : figures[0] + (scale.neutral - one.dialValue) * quantityPerUnit;
  const atEnds = [scale.min, scale.max].map((end) => quantityAtNeutral + (end - scale.neutral) * quantityPerUnit);
  if (quantity === 'wireFeedMPerMin' && Math.min(...atEnds) < 0)
    return failure({
      path: 'readings',
      code: 'negative-feed',
      message: message('machine.unit.negative-feed', {
        dial: dial.label,
        feed: amount('wireFeed', Math.min(...atEnds), 1),
      }),
      limit: 0,
      got: Number(Math.min(...atEnds).toFixed(2)),
      hint: message('machine.unit.measure-again'),
    });
  return success({
    scale: { quantityAtNeutral, quantityPerUnit },
    at: figures,
    because: becauseOf(quantity, wire, one, two, figures, quantityPerUnit),
  });
}

/** Arc length against that of the first bead, mm; or feed, m/min. */
function figureOf(quantity: MeasuredQuantity, wire: WireInGas, reading: UnitReading, first: UnitReading): number {
  if (quantity === 'trimMm') return ((reading.voltageV ?? 0) - (first.voltageV ?? 0)) / wire.eVPerMm;
  return feedForArea(wire, reading.travelMmPerMin ?? 0, filletAreaMm2(reading.legMm ?? 0));
}

function becauseOf(
  quantity: MeasuredQuantity,
  wire: WireInGas,
  one: UnitReading,
  two: UnitReading,
  figures: readonly [number, number],
  perUnit: number,
): Phrase {
  const dials = { lowValue: one.dialValue, highValue: two.dialValue };
  if (quantity === 'trimMm')
    return message('machine.arc-unit-sum', {
      ...dials,
      lowVolts: amount('voltage', one.voltageV ?? 0, 1),
      highVolts: amount('voltage', two.voltageV ?? 0, 1),
      field: amount('voltsPerLength', wire.eVPerMm, 2),
      unit: amount('shortLength', perUnit, 3),
    });
  return message('machine.feed-unit-sum', {
    ...dials,
    lowFeed: amount('wireFeed', figures[0], 2),
    highFeed: amount('wireFeed', figures[1], 2),
    unit: amount('wireFeed', perUnit, 3),
  });
}

function readingIssues(dial: Dial, quantity: MeasuredQuantity, reading: UnitReading, path: string): Issue[] {
  const { dialValue, voltageV, legMm, travelMmPerMin } = reading;
  const wanted = quantity === 'trimMm' ? { voltageV } : { legMm, travelMmPerMin };
  const missing = Object.entries(wanted)
    .filter(([, value]) => value === undefined)
    .map(([field]): Issue => ({
      path: `${path}.${field}`,
      code: 'missing',
      message: message('machine.unit.reading-missing'),
    }));
  return [
    ...notOnDial(dial, dialValue),
    ...missing,
    ...(quantity === 'trimMm'
      ? rangeIssues({ displayedVoltageV: voltageV }, `${path}.`)
      : rangeIssues({ beadMm: legMm, travelMmPerMin }, `${path}.`)),
  ];
}
