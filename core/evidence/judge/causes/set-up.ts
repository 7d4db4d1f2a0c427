/** What may be wrong with wire, gas, gun, feeder, leads and shielding. */
import { hazard, message } from '../../../base/messages/index.ts';
import { wireSizes, sameSizeMm } from '../../../metal/consumables/index.ts';
import type { Cause } from '../cause.ts';

const badGas = {
  'pores-row': 0.5,
  'pores-start': 0.3,
  wormholes: 0.15,
  soot: 0.3,
  'oxide-grey': 0.35,
  tint: 0.3,
};
/** Wire that does not come as fast as the rolls turn. */
const feeding = {
  kind: 'set-up',
  family: 'feeding',
  stays: true,
  model: { faults: () => ({ slip: 0.08 }) },
  odds: {
    slipping: 0.55,
    'arc-wanders': 0.25,
    'uneven-ripples': 0.35,
    'tip-burnt': 0.15,
    flutter: 0.2,
    popping: 0.15,
  },
} as const;
/** A circuit with more resistance than the machine reckons with. */
const circuit = {
  kind: 'set-up',
  family: 'circuit',
  stays: true,
  model: { faults: () => ({ leadExtraMOhm: 10 }) },
  odds: {
    crackle: 0.3,
    'frying-rough': 0.3,
    'stubbing-start': 0.3,
    'arc-wanders': 0.2,
    'spatter-fine': 0.2,
  },
} as const;

export const setUpCauses = {
  'wire-wrong': {
    name: message('judge.wrong-wire'),
    kind: 'set-up',
    prior: 0.02,
    stays: true,
    odds: { 'centre-crack': 0.2, 'frying-rough': 0.3, crackle: 0.3, flutter: 0.25, soot: 0.25, 'tip-burnt': 0.15 },
    look: { words: message('judge.read-the-spool'), minutes: 0.5 },
  },
  'size-wrong': {
    name: message('judge.wrong-size'),
    kind: 'set-up',
    prior: 0.02,
    stays: true,
    model: { instead: ({ diameterMm }) => sizesBeside(diameterMm).map((size) => ({ diameterMm: size })) },
    odds: { slipping: 0.2 },
    look: { words: message('judge.read-the-spool'), minutes: 0.5 },
  },
  'gas-wrong': {
    name: message('judge.wrong-gas'),
    kind: 'set-up',
    prior: 0.02,
    stays: true,
    model: { faults: ({ gas }) => ({ gas: mistakenGas(gas) }) },
    odds: { 'spatter-coarse': 0.5, 'frying-rough': 0.35, popping: 0.35, 'oxide-grey': 0.35, soot: 0.2 },
    look: { words: message('judge.read-the-cylinder'), minutes: 0.5 },
  },
  'line-wrong': {
    name: message('judge.wrong-line'),
    kind: 'set-up',
    prior: 0.03,
    stays: true,
    odds: { crackle: 0.35, flutter: 0.35, 'frying-rough': 0.35, 'spatter-coarse': 0.2, 'tip-burnt': 0.1 },
    look: { words: message('judge.read-the-line-selected'), minutes: 0.5 },
  },
  'tip-worn': {
    name: message('judge.tip-worn'),
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
    look: { words: hazard('judge.look-at-the-tip'), minutes: 2, isolate: true },
  },
  'tip-loose': {
    name: message('judge.tip-loose'),
    kind: 'set-up',
    prior: 0.03,
    stays: true,
    odds: { 'arc-wanders': 0.4, popping: 0.35, 'tip-burnt': 0.25, 'stubbing-start': 0.2, 'exploding-start': 0.1 },
    look: { words: hazard('judge.look-at-the-tip'), minutes: 2, isolate: true },
  },
  'tip-tight': {
    ...feeding,
    name: message('judge.tip-tight'),
    prior: 0.03,
    look: { words: hazard('judge.pull-the-wire-by-hand'), minutes: 2, isolate: true },
  },
  liner: {
    ...feeding,
    name: message('judge.liner'),
    prior: 0.04,
    look: { words: hazard('judge.pull-the-wire-by-hand'), minutes: 2, isolate: true },
  },
  rolls: {
    ...feeding,
    name: message('judge.rolls'),
    prior: 0.03,
    look: { words: message('judge.hold-the-wire-to-wood'), minutes: 1 },
  },
  slip: {
    ...feeding,
    name: message('judge.slipping'),
    prior: 0.05,
    look: { words: message('judge.hold-the-wire-to-wood'), minutes: 1 },
  },
  'lead-high': {
    ...circuit,
    name: message('judge.lead-poor'),
    prior: 0.03,
    look: { words: message('judge.read-the-leads'), minutes: 3 },
  },
  'return-poor': {
    ...circuit,
    name: message('judge.return-poor'),
    prior: 0.05,
    look: { words: hazard('judge.look-at-the-clamp'), minutes: 1, isolate: true },
  },
  polarity: {
    name: message('judge.polarity'),
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
    look: { words: hazard('judge.look-at-the-terminals'), minutes: 2, isolate: true },
  },
  'gas-low': {
    name: message('judge.gas-low'),
    kind: 'set-up',
    family: 'shielding',
    prior: 0.04,
    opposite: 'gas-high',
    stays: true,
    odds: badGas,
    look: { words: message('judge.measure-the-gas-at-the-nozzle'), minutes: 1 },
  },
  'gas-high': {
    name: message('judge.gas-high'),
    kind: 'set-up',
    family: 'shielding',
    prior: 0.02,
    opposite: 'gas-low',
    stays: true,
    odds: { 'pores-row': 0.35, 'oxide-grey': 0.2, hiss: 0.2 },
    look: { words: message('judge.measure-the-gas-at-the-nozzle'), minutes: 1 },
  },
  draught: {
    name: message('judge.draught'),
    kind: 'set-up',
    family: 'shielding',
    prior: 0.04,
    stays: false,
    odds: badGas,
    look: { words: message('judge.feel-for-a-draught'), minutes: 0.5 },
  },
  leak: {
    name: message('judge.leak'),
    kind: 'set-up',
    family: 'shielding',
    prior: 0.03,
    stays: true,
    odds: { ...badGas, 'pores-start': 0.5, hiss: 0.3 },
    look: { words: message('judge.try-the-hose-for-leaks'), minutes: 3 },
  },
} satisfies Record<string, Cause>;

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
