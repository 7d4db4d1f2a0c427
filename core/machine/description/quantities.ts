/** The quantities of a program that a dial can move or a display show: name, unit, what counts as noticeable, and which way "more" goes in words. */
import { say, amount, joined, type Phrase, type Said, signed } from '../../said/index.ts';
import type { QuantityName } from '../../units/index.ts';
import type { PlanMode } from '../../plan/index.ts';
import type { TriggerSchool } from '../../sequence/index.ts';

interface QuantityFacts {
  readonly name: Phrase;
  readonly unit: keyof typeof kindOfUnit;
  readonly digits: number;
  /** A miss smaller than this is not worth a welder's eye. */
  readonly noticed: number;
  readonly more: Phrase;
  readonly less: Phrase;
  /** Modes in which it means something; left out: in all. */
  readonly modes?: readonly PlanMode[];
  /** Trigger schools in which it means something; left out: in all. */
  readonly schools?: readonly TriggerSchool[];
}

const pulsed = ['pulse', 'double-pulse'] as const;
const beat = ['double-pulse'] as const;
const withEnds = ['hold-timed', 'latch-levels', 'latch-second'] as const;
const timed = ['hold-timed'] as const;
const second = ['latch-second'] as const;
const spot = ['spot'] as const;
const stitch = ['stitch'] as const;

export const dialQuantities = {
  wireFeedMPerMin: {
    name: say('machine.wire-feed'),
    unit: 'm/min',
    digits: 2,
    noticed: 0.05,
    more: say('machine.faster'),
    less: say('machine.slower'),
  },
  meanCurrentA: {
    name: say('machine.mean-current'),
    unit: 'A',
    digits: 0,
    noticed: 2,
    more: say('machine.more'),
    less: say('machine.less'),
  },
  chartThicknessMm: {
    name: say('machine.quantity.chart-thickness'),
    unit: 'mm',
    digits: 2,
    noticed: 0.05,
    more: say('machine.thicker'),
    less: say('machine.thinner'),
  },
  trimMm: {
    name: say('machine.arc-trim'),
    unit: 'mm',
    digits: 2,
    noticed: 0.1,
    more: say('machine.longer-arc'),
    less: say('machine.shorter-arc'),
  },
  stiffness: {
    name: say('machine.stiffness'),
    unit: '',
    digits: 1,
    noticed: 0.1,
    more: say('machine.stiffer'),
    less: say('machine.softer'),
  },
  peakCurrentA: {
    name: say('machine.fast-peak'),
    unit: 'A',
    digits: 0,
    noticed: 2.5,
    more: say('machine.more'),
    less: say('machine.less'),
    modes: pulsed,
  },
  peakTimeMs: {
    name: say('machine.fast-peak-time'),
    unit: 'ms',
    digits: 2,
    noticed: 0.05,
    more: say('machine.longer'),
    less: say('machine.shorter'),
    modes: pulsed,
  },
  backgroundCurrentA: {
    name: say('machine.fast-background'),
    unit: 'A',
    digits: 0,
    noticed: 2,
    more: say('machine.more'),
    less: say('machine.less'),
    modes: pulsed,
  },
  frequencyHz: {
    name: say('machine.fast-pulse-rate'),
    unit: 'Hz',
    digits: 0,
    noticed: 2,
    more: say('machine.faster'),
    less: say('machine.slower'),
    modes: pulsed,
  },
  gasFlowLPerMin: {
    name: say('machine.gas-flow'),
    unit: 'L/min',
    digits: 1,
    noticed: 0.3,
    more: say('machine.more'),
    less: say('machine.less'),
  },
  beatFrequencyHz: {
    name: say('machine.slow-rate'),
    unit: 'Hz',
    digits: 2,
    noticed: 0.05,
    more: say('machine.faster'),
    less: say('machine.slower'),
    modes: beat,
  },
  beatHighFeedMPerMin: {
    name: say('machine.slow-high-level'),
    unit: 'm/min',
    digits: 2,
    noticed: 0.05,
    more: say('machine.faster'),
    less: say('machine.slower'),
    modes: beat,
  },
  beatLowFeedMPerMin: {
    name: say('machine.slow-low-level'),
    unit: 'm/min',
    digits: 2,
    noticed: 0.05,
    more: say('machine.faster'),
    less: say('machine.slower'),
    modes: beat,
  },
  beatLowPercent: {
    name: say('machine.slow-low-level'),
    unit: '%',
    digits: 0,
    noticed: 1,
    more: say('machine.nearer-to-high'),
    less: say('machine.deeper'),
    modes: beat,
  },
  beatHighSharePercent: {
    name: say('machine.quantity.high-time-share'),
    unit: '%',
    digits: 0,
    noticed: 1,
    more: say('machine.quantity.high-time-share-more'),
    less: say('machine.quantity.high-time-share-less'),
    modes: beat,
  },
  beatSwingPercent: {
    name: say('machine.swing'),
    unit: '%',
    digits: 1,
    noticed: 0.5,
    more: say('machine.deeper'),
    less: say('machine.flatter'),
    modes: beat,
  },
  startFeedMPerMin: {
    name: say('machine.start-level'),
    unit: 'm/min',
    digits: 2,
    noticed: 0.1,
    more: say('machine.hotter-start'),
    less: say('machine.colder-start'),
    schools: withEnds,
  },
  startS: {
    name: say('machine.start-time'),
    unit: 's',
    digits: 1,
    noticed: 0.1,
    more: say('machine.longer'),
    less: say('machine.shorter'),
    schools: timed,
  },
  slopeInS: {
    name: say('machine.slope-to-main'),
    unit: 's',
    digits: 1,
    noticed: 0.1,
    more: say('machine.longer'),
    less: say('machine.shorter'),
    schools: withEnds,
  },
  slopeOutS: {
    name: say('machine.slope-to-end'),
    unit: 's',
    digits: 1,
    noticed: 0.1,
    more: say('machine.longer'),
    less: say('machine.shorter'),
    schools: withEnds,
  },
  endFeedMPerMin: {
    name: say('machine.end-level'),
    unit: 'm/min',
    digits: 2,
    noticed: 0.1,
    more: say('machine.hotter-crater'),
    less: say('machine.colder-crater'),
    schools: withEnds,
  },
  endS: {
    name: say('machine.end-time'),
    unit: 's',
    digits: 1,
    noticed: 0.1,
    more: say('machine.longer'),
    less: say('machine.shorter'),
    schools: timed,
  },
  startTrimMm: {
    name: say('machine.quantity.start-trim'),
    unit: 'mm',
    digits: 2,
    noticed: 0.1,
    more: say('machine.longer-arc'),
    less: say('machine.shorter-arc'),
    schools: withEnds,
  },
  endTrimMm: {
    name: say('machine.quantity.end-trim'),
    unit: 'mm',
    digits: 2,
    noticed: 0.1,
    more: say('machine.longer-arc'),
    less: say('machine.shorter-arc'),
    schools: withEnds,
  },
  secondFeedMPerMin: {
    name: say('machine.second-level'),
    unit: 'm/min',
    digits: 2,
    noticed: 0.1,
    more: say('machine.hotter'),
    less: say('machine.colder'),
    schools: second,
  },
  secondTrimMm: {
    name: say('machine.quantity.second-level-trim'),
    unit: 'mm',
    digits: 2,
    noticed: 0.1,
    more: say('machine.longer-arc'),
    less: say('machine.shorter-arc'),
    schools: second,
  },
  spotS: {
    name: say('machine.spot-time'),
    unit: 's',
    digits: 2,
    noticed: 0.05,
    more: say('machine.larger-spot'),
    less: say('machine.smaller-spot'),
    schools: spot,
  },
  stitchOnS: {
    name: say('machine.stitch-time'),
    unit: 's',
    digits: 2,
    noticed: 0.05,
    more: say('machine.longer'),
    less: say('machine.shorter'),
    schools: stitch,
  },
  stitchOffS: {
    name: say('machine.pause'),
    unit: 's',
    digits: 2,
    noticed: 0.05,
    more: say('machine.longer'),
    less: say('machine.shorter'),
    schools: stitch,
  },
  runInFeedMPerMin: {
    name: say('machine.run-in-feed'),
    unit: 'm/min',
    digits: 2,
    noticed: 0.2,
    more: say('machine.faster-approach'),
    less: say('machine.slower-approach'),
  },
  burnBackMs: {
    name: say('machine.burn-back'),
    unit: 'ms',
    digits: 0,
    noticed: 5,
    more: say('machine.shorter-wire-left'),
    less: say('machine.longer-wire-left'),
  },
  preGasS: {
    name: say('machine.quantity.gas-before'),
    unit: 's',
    digits: 1,
    noticed: 0.1,
    more: say('machine.longer'),
    less: say('machine.shorter'),
  },
  postGasS: {
    name: say('machine.quantity.gas-after'),
    unit: 's',
    digits: 1,
    noticed: 0.1,
    more: say('machine.longer'),
    less: say('machine.shorter'),
  },
} as const satisfies Record<string, QuantityFacts>;

export type DialQuantity = keyof typeof dialQuantities;
export const dialQuantityNames = Object.keys(dialQuantities) as DialQuantity[];

export function quantityFacts(quantity: DialQuantity): QuantityFacts {
  return dialQuantities[quantity];
}

/** A figure of a quantity with its unit, as a sentence takes it. */
export function quantityText(quantity: DialQuantity, value: number): Said {
  const { unit, digits } = quantityFacts(quantity);
  if (quantity === 'beatLowPercent') return say('machine.of-high', { share: amount('percent', value, digits) });
  return joined([amount(kindOfUnit[unit], value, digits)]);
}

/** How far a quantity is from another, with its sign. */
export function quantityChange(quantity: DialQuantity, change: number): Said {
  const { unit, digits } = quantityFacts(quantity);
  return joined([signed(kindOfUnit[unit], change, digits)]);
}

/** What a unit measures here. */
const kindOfUnit = {
  '': 'plain',
  '%': 'percent',
  A: 'current',
  V: 'voltage',
  Hz: 'frequency',
  'L/min': 'gasFlow',
  'm/min': 'wireFeed',
  mm: 'shortLength',
  ms: 'pulseTime',
  s: 'phaseTime',
} as const satisfies Record<string, QuantityName>;

/** Whether a quantity means anything in a transfer mode. */
export function actsIn(quantity: DialQuantity, mode: PlanMode): boolean {
  const { modes } = quantityFacts(quantity);
  return modes === undefined || modes.includes(mode);
}

/** Whether it means anything in a trigger school. */
export function actsInSchool(quantity: DialQuantity, school: TriggerSchool): boolean {
  const { schools } = quantityFacts(quantity);
  return schools === undefined || schools.includes(school);
}
