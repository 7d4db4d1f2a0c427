/** What may be wrong, as data: how likely before anything was seen, what it brings, how the model can show it, and where one looks for it. */
import { say, type Said } from '../said/index.ts';
import { sameSizeMm, type Faults, type Program } from '../machine/index.ts';
import { wireSizes } from '../consumables/index.ts';
import type { SymptomCode } from '../trials/index.ts';

export interface Cause {
  readonly name: Said;
  readonly kind: 'set' | 'hand' | 'set-up' | 'part';
  /** Causes that the evidence cannot tell apart are looked at together. */
  readonly family?: 'feeding' | 'circuit' | 'shielding';
  /** Assumed, for a shop that walks its set-up; moved by facts. */
  readonly prior: number;
  readonly opposite?: CauseCode;
  /** How the model shows it, at a size that a shop meets. */
  readonly model?: {
    readonly faults?: (program: Program) => Faults;
    readonly trimMm?: number;
    /** Travel found over travel planned. */
    readonly pace?: number;
    /** Metal that goes into a gap nobody reckoned with, mm. */
    readonly gapMm?: number;
    /** Longer leg over shorter, over what is usual; assumed, no arc shows it. */
    readonly legRatio?: number;
    /** Warmer than planned, °C. */
    readonly warmC?: number;
    /** Thickness found over thickness said. */
    readonly thickness?: number;
    /** Sizes that may be loaded instead: the one that fits what was measured counts. */
    readonly instead?: (program: Program) => readonly Faults[];
  };
  /** Chance that it brings a symptom that the arc's model does not show; assumed. */
  readonly odds: Partial<Record<SymptomCode, number>>;
  readonly look: { readonly words: Said; readonly minutes: number; readonly isolate?: true };
  /** Whether what is believed of it now is believed of the next weld: of a lead, not of a hand. */
  readonly stays: boolean;
}

export type CauseCode =
  | 'trim-low'
  | 'trim-high'
  | 'feed-low'
  | 'feed-high'
  | 'stiffness-off'
  | 'beat-off'
  | 'crater-short'
  | 'burn-back-short'
  | 'burn-back-long'
  | 'start-cold'
  | 'travel-slow'
  | 'travel-fast'
  | 'stick-out-long'
  | 'stick-out-short'
  | 'gun-angle'
  | 'drag'
  | 'wire-wrong'
  | 'size-wrong'
  | 'gas-wrong'
  | 'line-wrong'
  | 'tip-worn'
  | 'tip-loose'
  | 'tip-tight'
  | 'liner'
  | 'rolls'
  | 'slip'
  | 'lead-high'
  | 'return-poor'
  | 'polarity'
  | 'gas-low'
  | 'gas-high'
  | 'draught'
  | 'leak'
  | 'moisture'
  | 'surface'
  | 'gap'
  | 'fit'
  | 'tack-large'
  | 'plate-hot'
  | 'thinner'
  | 'coating';

const badGas = {
  'pores-row': 0.5,
  'pores-start': 0.3,
  wormholes: 0.15,
  soot: 0.3,
  'oxide-grey': 0.35,
  tint: 0.3,
};
const slips = {
  slipping: 0.55,
  'arc-wanders': 0.25,
  'uneven-ripples': 0.35,
  'tip-burnt': 0.15,
  flutter: 0.2,
  popping: 0.15,
};
const weakCircuit = {
  crackle: 0.3,
  'frying-rough': 0.3,
  'stubbing-start': 0.3,
  'arc-wanders': 0.2,
  'spatter-fine': 0.2,
};

export const causes: Readonly<Record<CauseCode, Cause>> = {
  'trim-low': {
    name: say('judge.trim-low'),
    kind: 'set',
    prior: 0.08,
    opposite: 'trim-high',
    model: { trimMm: -1.5 },
    stays: true,
    odds: { 'spatter-fine': 0.4, 'bead-high': 0.3, 'stubbing-start': 0.15, soot: 0.1 },
    look: { words: say('judge.look-at-the-trim-dial'), minutes: 0.5 },
  },
  'trim-high': {
    name: say('judge.trim-high'),
    kind: 'set',
    prior: 0.08,
    opposite: 'trim-low',
    model: { trimMm: 1.5 },
    stays: true,
    odds: {
      'bead-flat-wide': 0.4,
      'undercut-upper': 0.35,
      'wire-ball': 0.25,
      'arc-wanders': 0.25,
      'oxide-grey': 0.15,
      soot: 0.2,
    },
    look: { words: say('judge.look-at-the-trim-dial'), minutes: 0.5 },
  },
  'feed-low': {
    name: say('judge.feed-low'),
    kind: 'set',
    prior: 0.05,
    opposite: 'feed-high',
    model: { faults: () => ({ feedFactor: 0.88 }) },
    stays: true,
    odds: { 'no-root-fusion': 0.3, 'cold-lap': 0.2 },
    look: { words: say('judge.look-at-the-feed-dial'), minutes: 0.5 },
  },
  'feed-high': {
    name: say('judge.feed-high'),
    kind: 'set',
    prior: 0.05,
    opposite: 'feed-low',
    model: { faults: () => ({ feedFactor: 1.12 }) },
    stays: true,
    odds: { 'printed-through': 0.3, sag: 0.2, hole: 0.12, 'undercut-upper': 0.2 },
    look: { words: say('judge.look-at-the-feed-dial'), minutes: 0.5 },
  },
  'stiffness-off': {
    name: say('judge.stiffness-off'),
    kind: 'set',
    prior: 0.03,
    stays: true,
    odds: { 'frying-rough': 0.4, 'spatter-fine': 0.3, 'arc-wanders': 0.2, crackle: 0.15, 'stubbing-start': 0.1 },
    look: { words: say('judge.look-at-the-other-dials'), minutes: 0.5 },
  },
  'beat-off': {
    name: say('judge.beat-off'),
    kind: 'set',
    // Where there is a slow beat; without one it cannot be off.
    prior: 0.04,
    stays: true,
    odds: { 'uneven-ripples': 0.5, 'no-root-fusion': 0.15, 'printed-through': 0.15, 'bead-high': 0.1, flutter: 0.15 },
    look: { words: say('judge.look-at-the-other-dials'), minutes: 0.5 },
  },
  'crater-short': {
    name: say('judge.crater-short'),
    kind: 'set',
    prior: 0.06,
    stays: true,
    odds: { 'crater-crack': 0.6 },
    look: { words: say('judge.look-at-the-crater'), minutes: 0.5 },
  },
  'burn-back-short': {
    name: say('judge.burn-back-short'),
    kind: 'set',
    prior: 0.04,
    opposite: 'burn-back-long',
    stays: true,
    odds: { 'wire-stuck': 0.7, 'wire-long': 0.5 },
    look: { words: say('judge.look-at-the-wire-end'), minutes: 0.5 },
  },
  'burn-back-long': {
    name: say('judge.burn-back-long'),
    kind: 'set',
    prior: 0.04,
    opposite: 'burn-back-short',
    stays: true,
    odds: { 'wire-ball': 0.6, 'tip-burnt': 0.4, 'exploding-start': 0.3 },
    look: { words: say('judge.look-at-the-wire-end'), minutes: 0.5 },
  },
  'start-cold': {
    name: say('judge.start-cold'),
    kind: 'set',
    prior: 0.05,
    stays: true,
    odds: { 'stubbing-start': 0.5, 'cold-lap': 0.25, 'exploding-start': 0.2 },
    look: { words: say('judge.look-at-the-first-10-mm'), minutes: 1 },
  },
  'travel-slow': {
    name: say('judge.pace-slow'),
    kind: 'hand',
    prior: 0.1,
    opposite: 'travel-fast',
    model: { pace: 0.75 },
    stays: false,
    odds: { sag: 0.25, 'bead-flat-wide': 0.25, tint: 0.35, 'cold-lap': 0.1 },
    look: { words: say('judge.time-the-next-seam'), minutes: 1 },
  },
  'travel-fast': {
    name: say('judge.pace-fast'),
    kind: 'hand',
    prior: 0.08,
    opposite: 'travel-slow',
    model: { pace: 1.33 },
    stays: false,
    odds: { 'bead-high': 0.3, 'undercut-upper': 0.3, 'no-root-fusion': 0.25, 'centre-crack': 0.05 },
    look: { words: say('judge.time-the-next-seam'), minutes: 1 },
  },
  'stick-out-long': {
    name: say('judge.stick-out-long'),
    kind: 'hand',
    prior: 0.1,
    opposite: 'stick-out-short',
    stays: false,
    model: { faults: ({ ctwdMm }) => ({ ctwdMm: ctwdMm + 5 }) },
    odds: { 'pores-row': 0.15, 'bead-high': 0.2, 'no-root-fusion': 0.2, 'arc-wanders': 0.2, soot: 0.15 },
    look: { words: say('judge.measure-the-stick-out'), minutes: 1 },
  },
  'stick-out-short': {
    name: say('judge.stick-out-short'),
    kind: 'hand',
    prior: 0.06,
    opposite: 'stick-out-long',
    stays: false,
    model: { faults: ({ ctwdMm }) => ({ ctwdMm: Math.max(ctwdMm - 4, 6) }) },
    odds: { 'spatter-fine': 0.2, 'tip-burnt': 0.25, 'printed-through': 0.15 },
    look: { words: say('judge.measure-the-stick-out'), minutes: 1 },
  },
  'gun-angle': {
    name: say('judge.gun-angle'),
    kind: 'hand',
    prior: 0.08,
    stays: false,
    model: { legRatio: 1.45 },
    odds: { 'legs-unequal': 0.6, 'undercut-upper': 0.35, 'undercut-lower': 0.2, 'cold-lap': 0.15 },
    look: { words: say('judge.look-at-the-gun-angle'), minutes: 1 },
  },
  drag: {
    name: say('judge.gun-dragged'),
    kind: 'hand',
    prior: 0.05,
    stays: false,
    odds: { 'bead-high': 0.35, soot: 0.35, 'undercut-upper': 0.1 },
    look: { words: say('judge.look-at-the-gun-angle'), minutes: 1 },
  },
  'wire-wrong': {
    name: say('judge.wrong-wire'),
    kind: 'set-up',
    prior: 0.02,
    stays: true,
    odds: { 'centre-crack': 0.2, 'frying-rough': 0.3, crackle: 0.3, flutter: 0.25, soot: 0.25, 'tip-burnt': 0.15 },
    look: { words: say('judge.read-the-spool'), minutes: 0.5 },
  },
  'size-wrong': {
    name: say('judge.wrong-size'),
    kind: 'set-up',
    prior: 0.02,
    stays: true,
    model: { instead: ({ diameterMm }) => sizesBeside(diameterMm).map((size) => ({ diameterMm: size })) },
    odds: { slipping: 0.2 },
    look: { words: say('judge.read-the-spool'), minutes: 0.5 },
  },
  'gas-wrong': {
    name: say('judge.wrong-gas'),
    kind: 'set-up',
    prior: 0.02,
    stays: true,
    model: { faults: ({ gas }) => ({ gas: mistakenGas(gas) }) },
    odds: { 'spatter-coarse': 0.5, 'frying-rough': 0.35, popping: 0.35, 'oxide-grey': 0.35, soot: 0.2 },
    look: { words: say('judge.read-the-cylinder'), minutes: 0.5 },
  },
  'line-wrong': {
    name: say('judge.wrong-line'),
    kind: 'set-up',
    prior: 0.03,
    stays: true,
    odds: { crackle: 0.35, flutter: 0.35, 'frying-rough': 0.35, 'spatter-coarse': 0.2, 'tip-burnt': 0.1 },
    look: { words: say('judge.read-the-line-selected'), minutes: 0.5 },
  },
  'tip-worn': {
    name: say('judge.tip-worn'),
    kind: 'set-up',
    prior: 0.06,
    stays: true,
    odds: {
      'arc-wanders': 0.5,
      slipping: 0.15,
      popping: 0.25,
      'uneven-ripples': 0.25,
      'tip-burnt': 0.2,
      'stubbing-start': 0.15,
    },
    look: { words: say('judge.look-at-the-tip'), minutes: 2, isolate: true },
  },
  'tip-loose': {
    name: say('judge.tip-loose'),
    kind: 'set-up',
    prior: 0.03,
    stays: true,
    odds: { 'arc-wanders': 0.4, popping: 0.35, 'tip-burnt': 0.25, 'stubbing-start': 0.2, 'exploding-start': 0.1 },
    look: { words: say('judge.look-at-the-tip'), minutes: 2, isolate: true },
  },
  'tip-tight': {
    name: say('judge.tip-tight'),
    kind: 'set-up',
    family: 'feeding',
    prior: 0.03,
    stays: true,
    model: { faults: () => ({ slip: 0.08 }) },
    odds: slips,
    look: { words: say('judge.pull-the-wire-by-hand'), minutes: 2, isolate: true },
  },
  liner: {
    name: say('judge.liner'),
    kind: 'set-up',
    family: 'feeding',
    prior: 0.04,
    stays: true,
    model: { faults: () => ({ slip: 0.08 }) },
    odds: slips,
    look: { words: say('judge.pull-the-wire-by-hand'), minutes: 2, isolate: true },
  },
  rolls: {
    name: say('judge.rolls'),
    kind: 'set-up',
    family: 'feeding',
    prior: 0.03,
    stays: true,
    model: { faults: () => ({ slip: 0.08 }) },
    odds: slips,
    look: { words: say('judge.hold-the-wire-to-wood'), minutes: 1 },
  },
  slip: {
    name: say('judge.slipping'),
    kind: 'set-up',
    family: 'feeding',
    prior: 0.05,
    stays: true,
    model: { faults: () => ({ slip: 0.08 }) },
    odds: slips,
    look: { words: say('judge.hold-the-wire-to-wood'), minutes: 1 },
  },
  'lead-high': {
    name: say('judge.lead-poor'),
    kind: 'set-up',
    family: 'circuit',
    prior: 0.03,
    stays: true,
    model: { faults: () => ({ leadExtraMOhm: 10 }) },
    odds: weakCircuit,
    look: { words: say('judge.read-the-leads'), minutes: 3 },
  },
  'return-poor': {
    name: say('judge.return-poor'),
    kind: 'set-up',
    family: 'circuit',
    prior: 0.05,
    stays: true,
    model: { faults: () => ({ leadExtraMOhm: 10 }) },
    odds: weakCircuit,
    look: { words: say('judge.look-at-the-clamp'), minutes: 1, isolate: true },
  },
  polarity: {
    name: say('judge.polarity'),
    kind: 'set-up',
    prior: 0.005,
    stays: true,
    odds: {
      'spatter-coarse': 0.7,
      'frying-rough': 0.5,
      'bead-high': 0.5,
      'arc-wanders': 0.5,
      'no-root-fusion': 0.5,
      popping: 0.4,
    },
    look: { words: say('judge.look-at-the-terminals'), minutes: 2, isolate: true },
  },
  'gas-low': {
    name: say('judge.gas-low'),
    kind: 'set-up',
    family: 'shielding',
    prior: 0.04,
    opposite: 'gas-high',
    stays: true,
    odds: badGas,
    look: { words: say('judge.measure-the-gas-at-the-nozzle'), minutes: 1 },
  },
  'gas-high': {
    name: say('judge.gas-high'),
    kind: 'set-up',
    family: 'shielding',
    prior: 0.02,
    opposite: 'gas-low',
    stays: true,
    odds: { 'pores-row': 0.35, 'oxide-grey': 0.2, hiss: 0.2 },
    look: { words: say('judge.measure-the-gas-at-the-nozzle'), minutes: 1 },
  },
  draught: {
    name: say('judge.draught'),
    kind: 'set-up',
    family: 'shielding',
    prior: 0.04,
    stays: false,
    odds: badGas,
    look: { words: say('judge.feel-for-a-draught'), minutes: 0.5 },
  },
  leak: {
    name: say('judge.leak'),
    kind: 'set-up',
    family: 'shielding',
    prior: 0.03,
    stays: true,
    odds: { ...badGas, 'pores-start': 0.5, hiss: 0.3 },
    look: { words: say('judge.try-the-hose-for-leaks'), minutes: 3 },
  },
  moisture: {
    name: say('judge.moisture'),
    kind: 'part',
    prior: 0.03,
    stays: false,
    odds: { 'pores-row': 0.5, 'pores-start': 0.4, wormholes: 0.15 },
    look: { words: say('judge.feel-the-plate'), minutes: 0.5 },
  },
  surface: {
    name: say('judge.surface'),
    kind: 'part',
    prior: 0.06,
    stays: false,
    odds: {
      'pores-row': 0.45,
      'pores-start': 0.2,
      soot: 0.4,
      'arc-wanders': 0.2,
      popping: 0.25,
      'uneven-ripples': 0.15,
    },
    look: { words: say('judge.look-at-the-edge-beside-the-seam'), minutes: 0.5 },
  },
  gap: {
    name: say('judge.gap-wide'),
    kind: 'part',
    prior: 0.06,
    stays: false,
    model: { gapMm: 1 },
    odds: { 'printed-through': 0.4, hole: 0.35, sag: 0.3, 'legs-unequal': 0.2, 'bead-flat-wide': 0.2 },
    look: { words: say('judge.measure-the-gap'), minutes: 1 },
  },
  fit: {
    name: say('judge.fit'),
    kind: 'part',
    prior: 0.04,
    stays: false,
    model: { gapMm: 0.5 },
    odds: { 'legs-unequal': 0.3, 'no-root-fusion': 0.3, 'printed-through': 0.15, 'undercut-upper': 0.1 },
    look: { words: say('judge.measure-the-gap'), minutes: 1 },
  },
  'tack-large': {
    name: say('judge.tack-large'),
    kind: 'part',
    prior: 0.03,
    stays: false,
    odds: { 'no-root-fusion': 0.35, 'cold-lap': 0.25, 'uneven-ripples': 0.35, 'bead-high': 0.2 },
    look: { words: say('judge.look-at-the-tacks'), minutes: 0.5 },
  },
  'plate-hot': {
    name: say('judge.part-hot'),
    kind: 'part',
    prior: 0.06,
    stays: false,
    model: { warmC: 130 },
    odds: { 'printed-through': 0.45, sag: 0.35, hole: 0.25, 'bead-flat-wide': 0.4, tint: 0.4, soot: 0.1 },
    look: { words: say('judge.measure-the-plate'), minutes: 0.5 },
  },
  thinner: {
    name: say('judge.part-thinner'),
    kind: 'part',
    prior: 0.02,
    stays: true,
    model: { thickness: 0.75 },
    odds: { 'printed-through': 0.55, hole: 0.4, sag: 0.35, tint: 0.3 },
    look: { words: say('judge.measure-the-thickness'), minutes: 1 },
  },
  coating: {
    name: say('judge.coating'),
    kind: 'part',
    prior: 0.03,
    stays: false,
    odds: { 'pores-row': 0.45, wormholes: 0.35, popping: 0.4, 'spatter-coarse': 0.4, 'arc-wanders': 0.15 },
    look: { words: say('judge.look-at-the-edge-beside-the-seam'), minutes: 0.5 },
  },
};

export const causeCodes = Object.keys(causes) as CauseCode[];

/** Sizes a shelf holds next to this one, thinner and thicker. */
function sizesBeside(diameterMm: number): readonly number[] {
  return wireSizes
    .map((size) => size.diameterMm)
    .filter((size) => Math.abs(size - diameterMm) > sameSizeMm && size >= 0.8 && size <= 1.6)
    .sort((a, b) => Math.abs(a - diameterMm) - Math.abs(b - diameterMm))
    .slice(0, 3);
}

/** The cylinder that stands beside it and is taken for it. */
function mistakenGas(gas: string): string {
  if (gas === 'I1' || gas.startsWith('I3')) return 'M21-ArC-18';
  return gas === 'C1' ? 'M21-ArC-18' : 'C1';
}
