/** The quantities of a program that a dial can move or a display show: name, unit, what counts as noticeable, and which way "more" goes in words. */
import type { PlanMode } from '../../plan/index.ts';
import type { TriggerSchool } from '../../sequence/index.ts';

interface QuantityFacts {
  readonly name: string;
  readonly unit: string;
  readonly digits: number;
  /** A miss smaller than this is not worth a welder's eye. */
  readonly noticed: number;
  readonly more: string;
  readonly less: string;
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
  wireFeedMPerMin: { name: 'wire feed', unit: 'm/min', digits: 2, noticed: 0.05, more: 'faster', less: 'slower' },
  meanCurrentA: { name: 'mean current', unit: 'A', digits: 0, noticed: 2, more: 'more', less: 'less' },
  chartThicknessMm: {
    name: 'thickness on its chart',
    unit: 'mm',
    digits: 2,
    noticed: 0.05,
    more: 'thicker',
    less: 'thinner',
  },
  trimMm: { name: 'arc trim', unit: 'mm', digits: 2, noticed: 0.1, more: 'longer arc', less: 'shorter arc' },
  stiffness: { name: 'stiffness', unit: '', digits: 1, noticed: 0.1, more: 'stiffer', less: 'softer' },
  peakCurrentA: { name: 'fast peak', unit: 'A', digits: 0, noticed: 2.5, more: 'more', less: 'less', modes: pulsed },
  peakTimeMs: {
    name: 'fast peak time',
    unit: 'ms',
    digits: 2,
    noticed: 0.05,
    more: 'longer',
    less: 'shorter',
    modes: pulsed,
  },
  backgroundCurrentA: {
    name: 'fast background',
    unit: 'A',
    digits: 0,
    noticed: 2,
    more: 'more',
    less: 'less',
    modes: pulsed,
  },
  frequencyHz: {
    name: 'fast pulse rate',
    unit: 'Hz',
    digits: 0,
    noticed: 2,
    more: 'faster',
    less: 'slower',
    modes: pulsed,
  },
  gasFlowLPerMin: { name: 'gas flow', unit: 'L/min', digits: 1, noticed: 0.3, more: 'more', less: 'less' },
  beatFrequencyHz: {
    name: 'slow rate',
    unit: 'Hz',
    digits: 2,
    noticed: 0.05,
    more: 'faster',
    less: 'slower',
    modes: beat,
  },
  beatHighFeedMPerMin: {
    name: 'slow high level',
    unit: 'm/min',
    digits: 2,
    noticed: 0.05,
    more: 'faster',
    less: 'slower',
    modes: beat,
  },
  beatLowFeedMPerMin: {
    name: 'slow low level',
    unit: 'm/min',
    digits: 2,
    noticed: 0.05,
    more: 'faster',
    less: 'slower',
    modes: beat,
  },
  beatLowPercent: {
    name: 'slow low level',
    unit: '% of high',
    digits: 0,
    noticed: 1,
    more: 'nearer to high',
    less: 'deeper',
    modes: beat,
  },
  beatHighSharePercent: {
    name: 'share of time at high',
    unit: '%',
    digits: 0,
    noticed: 1,
    more: 'more time at high',
    less: 'less time at high',
    modes: beat,
  },
  beatSwingPercent: { name: 'swing', unit: '%', digits: 1, noticed: 0.5, more: 'deeper', less: 'flatter', modes: beat },
  startFeedMPerMin: {
    name: 'start level',
    unit: 'm/min',
    digits: 2,
    noticed: 0.1,
    more: 'hotter start',
    less: 'colder start',
    schools: withEnds,
  },
  startS: { name: 'start time', unit: 's', digits: 1, noticed: 0.1, more: 'longer', less: 'shorter', schools: timed },
  slopeInS: {
    name: 'slope to main',
    unit: 's',
    digits: 1,
    noticed: 0.1,
    more: 'longer',
    less: 'shorter',
    schools: withEnds,
  },
  slopeOutS: {
    name: 'slope to end',
    unit: 's',
    digits: 1,
    noticed: 0.1,
    more: 'longer',
    less: 'shorter',
    schools: withEnds,
  },
  endFeedMPerMin: {
    name: 'end level',
    unit: 'm/min',
    digits: 2,
    noticed: 0.1,
    more: 'hotter crater',
    less: 'colder crater',
    schools: withEnds,
  },
  endS: { name: 'end time', unit: 's', digits: 1, noticed: 0.1, more: 'longer', less: 'shorter', schools: timed },
  startTrimMm: {
    name: 'arc trim of the start',
    unit: 'mm',
    digits: 2,
    noticed: 0.1,
    more: 'longer arc',
    less: 'shorter arc',
    schools: withEnds,
  },
  endTrimMm: {
    name: 'arc trim of the end',
    unit: 'mm',
    digits: 2,
    noticed: 0.1,
    more: 'longer arc',
    less: 'shorter arc',
    schools: withEnds,
  },
  secondFeedMPerMin: {
    name: 'second level',
    unit: 'm/min',
    digits: 2,
    noticed: 0.1,
    more: 'hotter',
    less: 'colder',
    schools: second,
  },
  secondTrimMm: {
    name: 'arc trim of the second level',
    unit: 'mm',
    digits: 2,
    noticed: 0.1,
    more: 'longer arc',
    less: 'shorter arc',
    schools: second,
  },
  spotS: {
    name: 'spot time',
    unit: 's',
    digits: 2,
    noticed: 0.05,
    more: 'larger spot',
    less: 'smaller spot',
    schools: spot,
  },
  stitchOnS: {
    name: 'stitch time',
    unit: 's',
    digits: 2,
    noticed: 0.05,
    more: 'longer',
    less: 'shorter',
    schools: stitch,
  },
  stitchOffS: { name: 'pause', unit: 's', digits: 2, noticed: 0.05, more: 'longer', less: 'shorter', schools: stitch },
  runInFeedMPerMin: {
    name: 'run-in feed',
    unit: 'm/min',
    digits: 2,
    noticed: 0.2,
    more: 'faster approach',
    less: 'slower approach',
  },
  burnBackMs: {
    name: 'burn-back',
    unit: 'ms',
    digits: 0,
    noticed: 5,
    more: 'shorter wire left',
    less: 'longer wire left',
  },
  preGasS: { name: 'gas before', unit: 's', digits: 1, noticed: 0.1, more: 'longer', less: 'shorter' },
  postGasS: { name: 'gas after', unit: 's', digits: 1, noticed: 0.1, more: 'longer', less: 'shorter' },
} as const satisfies Record<string, QuantityFacts>;

export type DialQuantity = keyof typeof dialQuantities;
export const dialQuantityNames = Object.keys(dialQuantities) as DialQuantity[];

export function quantityFacts(quantity: DialQuantity): QuantityFacts {
  return dialQuantities[quantity];
}

/** A figure of a quantity with its unit, as a sentence takes it. */
export function quantityText(quantity: DialQuantity, value: number): string {
  const { unit, digits } = quantityFacts(quantity);
  const text = value.toFixed(digits).replace('-', '−');
  return unit === '' ? text : unit.startsWith('%') ? `${text} ${unit}` : `${text} ${unit}`;
}

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
