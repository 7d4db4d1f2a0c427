/**
 * Everything the physics needs to know about one wire in one gas, gathered once, with room for a deliberate error in each constant:
 * bands are made by moving the constants, not by a flat percentage on the result.
 * Arc constants are *fits* (section "arc voltage" of the model); their errors are assumed and listed in docs/limits.md.
 */
import {
  activeCo2EquivalentPct,
  fillerOf,
  gasOf,
  sameWire,
  type FillerCode,
  type FillerFamily,
  wireAreaMm2,
} from '../consumables/index.ts';
import { transitionCurrentA } from './transition.ts';

/** Multipliers (or, for `arcVoltageV`, an offset) on the constants; the neutral set changes nothing. */
export interface Nudges {
  readonly melting: number;
  readonly arcVoltageV: number;
  readonly arcResistance: number;
  readonly arcField: number;
  readonly detachment: number;
  readonly transition: number;
  /** Drop size aimed at, as a share of the wire's diameter. */
  readonly dropFactor: number;
}

export const neutralNudges: Nudges = {
  melting: 1,
  arcVoltageV: 0,
  arcResistance: 1,
  arcField: 1,
  detachment: 1,
  transition: 1,
  dropFactor: 1,
};

/** One standard error of each nudged constant; melting comes from the filler's own table row. Assumed except where the table gives it. */
export const constantErrors = {
  arcVoltageV: 0.7,
  arcResistance: 0.1,
  arcField: 0.1,
  detachment: 0.12,
  transition: 0.08,
  dropFactor: 0.03,
} as const;

export interface WireInGas {
  readonly family: FillerFamily;
  readonly diameterMm: number;
  readonly areaMm2: number;
  /** mm/s of wire per A of mean current. */
  readonly arcMeltMmPerAs: number;
  /** mm/s of wire per mm of extension and A² of rms current. */
  readonly extensionMeltPerA2s: number;
  readonly meltingError: number;
  readonly densityKgPerM3: number;
  readonly yield: number;
  /** Ω per mm of extension. */
  readonly extensionOhmPerMm: number;
  readonly transitionA: number;
  readonly v0V: number;
  readonly raOhm: number;
  readonly eVPerMm: number;
  /** How far the gas is from argon-rich (0) to pure CO2 (1). */
  readonly co2Share: number;
  readonly heliumPct: number;
  readonly nudges: Nudges;
}

interface ArcRow {
  readonly v0V: number;
  readonly raOhm: number;
  readonly eVPerMm: number;
}

const arcRows: Record<'steel' | 'stainless' | 'aluminium-4043' | 'aluminium-5356' | 'copper-silicon', ArcRow> = {
  steel: { v0V: 15.7, raOhm: 0.022, eVPerMm: 0.636 },
  stainless: { v0V: 15.0, raOhm: 0.022, eVPerMm: 0.62 },
  'aluminium-4043': { v0V: 14.0, raOhm: 0.02, eVPerMm: 0.75 },
  'aluminium-5356': { v0V: 15.5, raOhm: 0.02, eVPerMm: 0.8 },
  'copper-silicon': { v0V: 13.5, raOhm: 0.02, eVPerMm: 0.7 },
};

/** Steel in pure CO2; between argon mixes up to 18 % and this the constants run linearly with the CO2 share. */
const steelInCo2: ArcRow = { v0V: 18.5, raOhm: 0.022, eVPerMm: 0.85 };
const ARGON_RICH_TO_PCT = 18;

/** Argon/helium 70/30 raises the arc by about 1.5 V and its field by 25 %; taken as linear in the helium share. */
const heliumPer30Pct = { v0V: 1.5, field: 0.25 };

/** The slag of a rutile sheath lets fine drops go at about half the current of a solid wire; assumed. */
const fluxCored: ReadonlySet<FillerCode> = new Set(['steel-flux-cored', 'steel-self-shielded']);
const fluxCoredTransitionShare = 0.5;

/** Constants of a wire in a gas. The codes are validated before; an unknown one throws. */
export function wireInGas(
  fillerCode: FillerCode,
  gasCode: string,
  diameterMm: number,
  nudges: Nudges = neutralNudges,
): WireInGas {
  const filler = fillerOf(fillerCode);
  const gas = gasOf(gasCode);
  const areaMm2 = wireAreaMm2(diameterMm);
  const row =
    arcRows[filler.family === 'aluminium' ? (fillerCode as 'aluminium-4043' | 'aluminium-5356') : filler.family];
  const isFerrous = filler.family === 'steel' || filler.family === 'stainless';
  const co2Share = isFerrous
    ? Math.max(0, (activeCo2EquivalentPct(gas) - ARGON_RICH_TO_PCT) / (100 - ARGON_RICH_TO_PCT))
    : 0;
  const helium = gas.heliumPct / 30;
  const v0V = row.v0V + co2Share * (steelInCo2.v0V - arcRows.steel.v0V) + helium * heliumPer30Pct.v0V;
  const fieldVPerMm =
    (row.eVPerMm + co2Share * (steelInCo2.eVPerMm - arcRows.steel.eVPerMm)) * (1 + helium * heliumPer30Pct.field);
  return {
    family: filler.family,
    diameterMm,
    areaMm2,
    arcMeltMmPerAs: (filler.kA / areaMm2) * nudges.melting,
    extensionMeltPerA2s: (filler.kB / (areaMm2 * areaMm2)) * nudges.melting,
    meltingError: filler.meltingError,
    densityKgPerM3: filler.densityKgPerM3,
    yield: filler.yield,
    extensionOhmPerMm: filler.hotResistivity / (1000 * areaMm2),
    transitionA:
      transitionCurrentA(filler.family, diameterMm, gas) *
      (fluxCored.has(fillerCode) ? fluxCoredTransitionShare : 1) *
      nudges.transition,
    v0V: v0V + nudges.arcVoltageV,
    raOhm: row.raOhm * nudges.arcResistance,
    eVPerMm: fieldVPerMm * nudges.arcField,
    co2Share,
    heliumPct: gas.heliumPct,
    nudges,
  };
}

/** What a very wire on a very machine does differently from the table, as calibrated there. */
export interface WireCorrection {
  readonly kAFactor: number;
  readonly kBFactor: number;
  readonly arcVoltageV: number;
}

/** A wire in a gas that was calibrated on a machine, from points read off its panel. */
export interface CalibratedWire extends WireCorrection {
  readonly filler: FillerCode;
  readonly gas: string;
  readonly diameterMm: number;
}

/** What was found of a wire in its gas; undefined where it was never calibrated. */
export function calibrationOf(
  calibrated: readonly CalibratedWire[] | undefined,
  wire: { readonly filler: FillerCode; readonly gas: string; readonly diameterMm: number },
): WireCorrection | undefined {
  return calibrated?.find((one) => one.gas === wire.gas && sameWire(one, wire));
}

/** The wire with what was found of it; without a correction the same. */
export function correctedWire(wire: WireInGas, correction: WireCorrection | undefined): WireInGas {
  if (!correction) return wire;
  return {
    ...wire,
    arcMeltMmPerAs: wire.arcMeltMmPerAs * correction.kAFactor,
    extensionMeltPerA2s: wire.extensionMeltPerA2s * correction.kBFactor,
    v0V: wire.v0V + correction.arcVoltageV,
  };
}
