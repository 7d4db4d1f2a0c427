/** Gas before and after that the gun, the crater and the metal ask for. Rules of practice, assumed; starts for trials. */
import { message, amount, type Phrase, sum } from '../../base/messages/index.ts';
import { fillerOf, type FillerFamily } from '../../metal/consumables/index.ts';
import type { Program } from '../../setting/program/index.ts';
import type { CraterFill } from './crater.ts';

export interface GasTime {
  readonly seconds: number;
  readonly because: Phrase;
}

/** Bore of a gun's gas hose, mm, and the room in neck and nozzle, L: assumed. */
const boreMm = 4;
const nozzleL = 0.02;

/** Bore of a hose between a valve in the source and the gun, mm: assumed. */
const hoseBoreMm = 6;

/** The air in gun, nozzle and what hose lies behind the valve (m) pushed out once. */
export function gasBefore({ gasFlowLPerMin }: Program, gunLengthM: number, hoseM = 0): GasTime {
  const hoseL = (Math.PI / 4) * (boreMm ** 2 * gunLengthM + hoseBoreMm ** 2 * hoseM) * 1e-3;
  const seconds = gasFlowLPerMin > 0 ? ((hoseL + nozzleL) * 60) / gasFlowLPerMin : 0;
  const terms = {
    gunLengthM: amount('gunLength', gunLengthM),
    bore: amount('shortLength', boreMm),
    nozzle: amount('volume', hoseL + nozzleL, 2),
    gasFlow: amount('gasFlow', gasFlowLPerMin, 0),
    seconds: amount('phaseTime', seconds, 1),
  };
  return {
    seconds,
    because:
      hoseM > 0
        ? sum(
            message('trigger.because.gas-before-hose', {
              ...terms,
              hose: amount('gunLength', hoseM),
              hoseBore: amount('shortLength', hoseBoreMm),
            }),
            amount('phaseTime', seconds, 1),
          )
        : sum(message('trigger.because.gas-before', terms), amount('phaseTime', seconds, 1)),
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
    because: message('trigger.because.crater-current', {
      family: amount('phaseTime', perHundredA[family]),
      endCurrent: amount('current', endCurrentA, 0),
      byCurrent: amount('phaseTime', byCurrent, 1),
      volume: amount('metalVolume', crater.volumeMm3, 0),
      freeze: amount('phaseTime', freezeS, 1),
    }),
  };
}
