/**
 * What can be wrong at a simulated machine, of its own: what each fault does to arc, hand and metal, and what else it brings. Written for the stand-in alone;
 * whoever judges welds has tables of his own, or a test of the one would only read the other back.
 */
import type { Faults } from '../../machine/dials/index.ts';
import type { Program } from '../../setting/program/index.ts';
import type { SymptomCode } from '../../evidence/trial/index.ts';

export interface HiddenFault {
  /** How often it is met among all faults, relative (assumed for a small shop). */
  readonly rate: number;
  /** On arc and feed, at a strength of one. */
  readonly arc?: (program: Program, strength: number) => Faults;
  readonly trimMm?: number;
  readonly stiffness?: number;
  /** Travel of the hand over what it was, as a logarithm. */
  readonly pace?: number;
  /** Lean of the gun: the share of metal that goes to one plate, as a logarithm of the legs' ratio. */
  readonly lean?: number;
  /** Plate before the arc, °C above the shop's. */
  readonly warmC?: number;
  /** Thickness over what was said. */
  readonly thickness?: number;
  readonly gapMm?: number;
  /** Chance of what arc and metal do not show by themselves. */
  readonly brings: Partial<Record<SymptomCode, number>>;
  /** It goes when the weld is over, as a hand's lapse does. */
  readonly passes?: true;
}

const airInGas: HiddenFault['brings'] = {
  'pores-row': 0.6,
  'pores-start': 0.35,
  wormholes: 0.1,
  soot: 0.25,
  'oxide-grey': 0.4,
  tint: 0.25,
};
const jerks: HiddenFault['brings'] = { slipping: 0.6, 'uneven-ripples': 0.4, 'arc-wanders': 0.2, 'tip-burnt': 0.12 };
const slipping = (_: Program, strength: number): Faults => ({ slip: 0.08 * strength });
const resisting = (_: Program, strength: number): Faults => ({ leadExtraMOhm: 10 * strength });
const looseJoint: HiddenFault['brings'] = { 'stubbing-start': 0.3, 'arc-wanders': 0.2 };

export const hiddenFaults = {
  'trim-low': { rate: 8, trimMm: -1.5, brings: { 'spatter-fine': 0.4, 'bead-high': 0.25 } },
  'trim-high': {
    rate: 8,
    trimMm: 1.5,
    brings: { 'bead-flat-wide': 0.35, 'undercut-upper': 0.4, 'wire-ball': 0.2, 'arc-wanders': 0.2 },
  },
  'feed-low': { rate: 5, arc: (_, strength) => ({ feedFactor: 1 - 0.12 * strength }), brings: { 'cold-lap': 0.2 } },
  'feed-high': {
    rate: 5,
    arc: (_, strength) => ({ feedFactor: 1 + 0.12 * strength }),
    brings: { 'undercut-upper': 0.2, sag: 0.15 },
  },
  'stiffness-off': { rate: 2, stiffness: 6, brings: { 'frying-rough': 0.45, 'spatter-fine': 0.3, 'arc-wanders': 0.2 } },
  'crater-short': { rate: 5, brings: { 'crater-crack': 0.65 } },
  'burn-back-long': { rate: 4, brings: { 'wire-ball': 0.7, 'tip-burnt': 0.35, 'exploding-start': 0.3 } },
  'burn-back-short': { rate: 4, brings: { 'wire-stuck': 0.65, 'wire-long': 0.55 } },
  'start-cold': { rate: 4, brings: { 'stubbing-start': 0.6, 'cold-lap': 0.2 } },
  'travel-slow': { rate: 10, pace: -0.29, passes: true, brings: { sag: 0.25, 'bead-flat-wide': 0.2, tint: 0.3 } },
  'travel-fast': { rate: 8, pace: 0.29, passes: true, brings: { 'bead-high': 0.3, 'undercut-upper': 0.25 } },
  'stick-out-long': {
    rate: 10,
    arc: ({ ctwdMm }, strength) => ({ ctwdMm: ctwdMm + 5 * strength }),
    passes: true,
    brings: { 'pores-row': 0.12, 'arc-wanders': 0.25, 'bead-high': 0.15 },
  },
  'stick-out-short': {
    rate: 6,
    arc: ({ ctwdMm }, strength) => ({ ctwdMm: Math.max(ctwdMm - 4 * strength, 6) }),
    passes: true,
    brings: { 'tip-burnt': 0.2, 'spatter-fine': 0.2 },
  },
  'gun-angle': { rate: 8, lean: 0.45, passes: true, brings: { 'undercut-upper': 0.3, 'cold-lap': 0.12 } },
  drag: { rate: 4, passes: true, brings: { 'bead-high': 0.4, soot: 0.35 } },
  // The alloy beside it: at the same feed its arc lies elsewhere, and its soot and cracks are its own.
  'wire-wrong': {
    rate: 2,
    arc: (_, strength) => ({ setPointV: -1.1 * strength }),
    brings: { soot: 0.4, 'centre-crack': 0.2, 'tip-burnt': 0.15, 'frying-rough': 0.2 },
  },
  'size-wrong': { rate: 2, arc: ({ diameterMm }) => ({ diameterMm: besideMm(diameterMm) }), brings: { slipping: 0.2 } },
  'gas-wrong': {
    rate: 2,
    // An active gas on aluminium is beyond the arc's model; what it leaves on the metal is not.
    arc: ({ gas }) => (gas.startsWith('I') ? {} : { gas: gas === 'C1' ? 'M21-ArC-18' : 'C1' }),
    brings: { 'spatter-coarse': 0.5, 'oxide-grey': 0.4, popping: 0.3, soot: 0.2 },
  },
  'tip-worn': { rate: 6, brings: { 'arc-wanders': 0.55, popping: 0.25, 'uneven-ripples': 0.3, 'tip-burnt': 0.15 } },
  liner: { rate: 4, arc: slipping, brings: jerks },
  slip: { rate: 5, arc: slipping, brings: jerks },
  'lead-high': { rate: 3, arc: resisting, brings: looseJoint },
  'return-poor': { rate: 5, arc: resisting, brings: looseJoint },
  'gas-low': { rate: 4, brings: airInGas },
  draught: { rate: 4, passes: true, brings: airInGas },
  leak: { rate: 3, brings: { ...airInGas, 'pores-start': 0.5, hiss: 0.35 } },
  moisture: { rate: 3, passes: true, brings: { 'pores-row': 0.55, 'pores-start': 0.35, wormholes: 0.15 } },
  surface: { rate: 6, passes: true, brings: { 'pores-row': 0.5, soot: 0.35, 'arc-wanders': 0.2, popping: 0.25 } },
  gap: { rate: 6, gapMm: 1, passes: true, brings: { 'legs-unequal': 0.2, sag: 0.2, hole: 0.2 } },
  'plate-hot': { rate: 6, warmC: 140, passes: true, brings: { 'bead-flat-wide': 0.4, tint: 0.4, sag: 0.25 } },
  thinner: { rate: 2, thickness: 0.72, brings: { tint: 0.25 } },
  coating: {
    rate: 3,
    passes: true,
    brings: { 'pores-row': 0.5, wormholes: 0.3, popping: 0.45, 'spatter-coarse': 0.4 },
  },
} as const satisfies Record<string, HiddenFault>;

export type HiddenFaultCode = keyof typeof hiddenFaults;
export const hiddenFaultCodes = Object.keys(hiddenFaults) as HiddenFaultCode[];

/** The size beside it on the shelf. */
function besideMm(diameterMm: number): number {
  return diameterMm >= 1.2 ? 1 : diameterMm >= 1 ? 0.8 : 1;
}
