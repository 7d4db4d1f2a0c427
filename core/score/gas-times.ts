/** Gas before and after that the gun, the crater and the metal ask for. Rules of practice, assumed; starts for trials. */
import { fillerOf, type FillerFamily } from '../consumables/index.ts';
import type { Program } from '../machine/index.ts';
import type { CraterFill } from './crater.ts';

export interface GasTime {
  readonly seconds: number;
  readonly because: string;
}

/** Bore of a gun's gas hose, mm, and the room in neck and nozzle, L: assumed. */
const boreMm = 4;
const nozzleL = 0.02;

/** The air in gun and nozzle pushed out once. */
export function gasBefore({ gasFlowLPerMin }: Program, gunLengthM: number): GasTime {
  const hoseL = (Math.PI / 4) * boreMm ** 2 * gunLengthM * 1e-3;
  const seconds = gasFlowLPerMin > 0 ? ((hoseL + nozzleL) * 60) / gasFlowLPerMin : 0;
  return {
    seconds,
    because: `${gunLengthM} m of gun at ${boreMm} mm bore and the nozzle hold ${(hoseL + nozzleL).toFixed(2)} L; at ${gasFlowLPerMin.toFixed(0)} L/min that is pushed out in ${seconds.toFixed(1)} s.`,
  };
}

/** How long after the arc the end still takes in air: seconds per 100 A by metal, not less than the crater needs to freeze. */
const perHundredA: Record<FillerFamily, number> = { steel: 0.6, stainless: 2, aluminium: 1.2, 'copper-silicon': 0.8 };

export function gasAfter({ filler }: Program, crater: CraterFill, endCurrentA: number): GasTime {
  const { family } = fillerOf(filler);
  const freezeS = Math.cbrt(crater.volumeMm3) * 0.15;
  const byCurrent = (perHundredA[family] * endCurrentA) / 100;
  const seconds = Math.max(byCurrent, freezeS, 0.5);
  return {
    seconds,
    because: `${perHundredA[family]} s per 100 A for this metal at ${endCurrentA.toFixed(0)} A gives ${byCurrent.toFixed(1)} s; a crater of ${crater.volumeMm3.toFixed(0)} mm³ takes about ${freezeS.toFixed(1)} s to freeze.`,
  };
}
