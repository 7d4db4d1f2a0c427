/** The quantities of a program that a dial can move or a display show: name, unit, what counts as noticeable, and which way "more" goes in words. */
import { message, type Phrase } from '../../base/messages/index.ts';
import type { QuantityName } from '../../base/units/index.ts';
import type { PlanMode } from '../../setting/plan/index.ts';
import type { TriggerSchool } from '../../weld/sequence/index.ts';

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
    name: message('machine.wire-feed'),
    unit: 'm/min',
    digits: 2,
    noticed: 0.05,
    more: message('machine.faster'),
    less: message('machine.slower'),
  },
  meanCurrentA: {
    name: message('machine.mean-current'),
    unit: 'A',
    digits: 0,
    noticed: 2,
    more: message('machine.more'),
    less: message('machine.less'),
  },
  chartThicknessMm: {
    name: message('machine.quantity.chart-thickness'),
    unit: 'mm',
    digits: 2,
    noticed: 0.05,
    more: message('machine.thicker'),
    less: message('machine.thinner'),
  },
  trimMm: {
    name: message('machine.arc-trim'),
    unit: 'mm',
    digits: 2,
    noticed: 0.1,
    more: message('machine.longer-arc'),
    less: message('machine.shorter-arc'),
  },
  stiffness: {
    name: message('machine.stiffness'),
    unit: '',
    digits: 1,
    noticed: 0.1,
    more: message('machine.stiffer'),
    less: message('machine.softer'),
  },
  peakCurrentA: {
    name: message('machine.fast-peak'),
    unit: 'A',
    digits: 0,
    noticed: 2.5,
    more: message('machine.more'),
    less: message('machine.less'),
    modes: pulsed,
  },
  peakTimeMs: {
    name: message('machine.fast-peak-time'),
    unit: 'ms',
    digits: 2,
    noticed: 0.05,
    more: message('machine.longer'),
    less: message('machine.shorter'),
    modes: pulsed,
  },
  backgroundCurrentA: {
    name: message('machine.fast-background'),
    unit: 'A',
    digits: 0,
    noticed: 2,
    more: message('machine.more'),
    less: message('machine.less'),
    modes: pulsed,
  },
  frequencyHz: {
    name: message('machine.fast-pulse-rate'),
    unit: 'Hz',
    digits: 0,
    noticed: 2,
    more: message('machine.faster'),
    less: message('machine.slower'),
    modes: pulsed,
  },
  gasFlowLPerMin: {
    name: message('machine.gas-flow'),
    unit: 'L/min',
    digits: 1,
    noticed: 0.3,
    more: message('machine.more'),
    less: message('machine.less'),
  },
  beatFrequencyHz: {
    name: message('machine.slow-rate'),
    unit: 'Hz',
    digits: 2,
    noticed: 0.05,
    more: message('machine.faster'),
    less: message('machine.slower'),
    modes: beat,
  },
  beatHighFeedMPerMin: {
    name: message('machine.slow-high-level'),
    unit: 'm/min',
    digits: 2,
    noticed: 0.05,
    more: message('machine.faster'),
    less: message('machine.slower'),
    modes: beat,
  },
  beatLowFeedMPerMin: {
    name: message('machine.slow-low-level'),
    unit: 'm/min',
    digits: 2,
    noticed: 0.05,
    more: message('machine.faster'),
    less: message('machine.slower'),
    modes: beat,
  },
  beatLowPercent: {
    name: message('machine.slow-low-level'),
    unit: '%',
    digits: 0,
    noticed: 1,
    more: message('machine.nearer-to-high'),
    less: message('machine.deeper'),
    modes: beat,
  },
  beatHighSharePercent: {
    name: message('machine.quantity.high-time-share'),
    unit: '%',
    digits: 0,
    noticed: 1,
    more: message('machine.quantity.high-time-share-more'),
    less: message('machine.quantity.high-time-share-less'),
    modes: beat,
  },
  beatSwingPercent: {
    name: message('machine.swing'),
    unit: '%',
    digits: 1,
    noticed: 0.5,
    more: message('machine.deeper'),
    less: message('machine.flatter'),
    modes: beat,
  },
  startFeedMPerMin: {
    name: message('machine.start-level'),
    unit: 'm/min',
    digits: 2,
    noticed: 0.1,
    more: message('machine.hotter-start'),
    less: message('machine.colder-start'),
    schools: withEnds,
  },
  startS: {
    name: message('machine.start-time'),
    unit: 's',
    digits: 1,
    noticed: 0.1,
    more: message('machine.longer'),
    less: message('machine.shorter'),
    schools: timed,
  },
  slopeInS: {
    name: message('machine.slope-to-main'),
    unit: 's',
    digits: 1,
    noticed: 0.1,
    more: message('machine.longer'),
    less: message('machine.shorter'),
    schools: withEnds,
  },
  slopeOutS: {
    name: message('machine.slope-to-end'),
    unit: 's',
    digits: 1,
    noticed: 0.1,
    more: message('machine.longer'),
    less: message('machine.shorter'),
    schools: withEnds,
  },
  endFeedMPerMin: {
    name: message('machine.end-level'),
    unit: 'm/min',
    digits: 2,
    noticed: 0.1,
    more: message('machine.hotter-crater'),
    less: message('machine.colder-crater'),
    schools: withEnds,
  },
  endS: {
    name: message('machine.end-time'),
    unit: 's',
    digits: 1,
    noticed: 0.1,
    more: message('machine.longer'),
    less: message('machine.shorter'),
    schools: timed,
  },
  startTrimMm: {
    name: message('machine.quantity.start-trim'),
    unit: 'mm',
    digits: 2,
    noticed: 0.1,
    more: message('machine.longer-arc'),
    less: message('machine.shorter-arc'),
    schools: withEnds,
  },
  endTrimMm: {
    name: message('machine.quantity.end-trim'),
    unit: 'mm',
    digits: 2,
    noticed: 0.1,
    more: message('machine.longer-arc'),
    less: message('machine.shorter-arc'),
    schools: withEnds,
  },
  secondFeedMPerMin: {
    name: message('machine.second-level'),
    unit: 'm/min',
    digits: 2,
    noticed: 0.1,
    more: message('machine.hotter'),
    less: message('machine.colder'),
    schools: second,
  },
  secondTrimMm: {
    name: message('machine.quantity.second-level-trim'),
    unit: 'mm',
    digits: 2,
    noticed: 0.1,
    more: message('machine.longer-arc'),
    less: message('machine.shorter-arc'),
    schools: second,
  },
  spotS: {
    name: message('machine.spot-time'),
    unit: 's',
    digits: 2,
    noticed: 0.05,
    more: message('machine.larger-spot'),
    less: message('machine.smaller-spot'),
    schools: spot,
  },
  stitchOnS: {
    name: message('machine.stitch-time'),
    unit: 's',
    digits: 2,
    noticed: 0.05,
    more: message('machine.longer'),
    less: message('machine.shorter'),
    schools: stitch,
  },
  stitchOffS: {
    name: message('machine.pause'),
    unit: 's',
    digits: 2,
    noticed: 0.05,
    more: message('machine.longer'),
    less: message('machine.shorter'),
    schools: stitch,
  },
  runInFeedMPerMin: {
    name: message('machine.run-in-feed'),
    unit: 'm/min',
    digits: 2,
    noticed: 0.2,
    more: message('machine.faster-approach'),
    less: message('machine.slower-approach'),
  },
  burnBackMs: {
    name: message('machine.burn-back'),
    unit: 'ms',
    digits: 0,
    noticed: 5,
    more: message('machine.shorter-wire-left'),
    less: message('machine.longer-wire-left'),
  },
  preGasS: {
    name: message('machine.quantity.gas-before'),
    unit: 's',
    digits: 1,
    noticed: 0.1,
    more: message('machine.longer'),
    less: message('machine.shorter'),
  },
  postGasS: {
    name: message('machine.quantity.gas-after'),
    unit: 's',
    digits: 1,
    noticed: 0.1,
    more: message('machine.longer'),
    less: message('machine.shorter'),
  },
} as const satisfies Record<string, QuantityFacts>;

export type DialQuantity = keyof typeof dialQuantities;

export const dialQuantityNames = Object.keys(dialQuantities) as DialQuantity[];

export function quantityFacts(quantity: DialQuantity): QuantityFacts {
  return dialQuantities[quantity];
}

/** What a unit measures here. */
export const kindOfUnit = {
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
