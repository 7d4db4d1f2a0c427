/** What somebody who looks carefully writes down of a simulated weld: nothing that could not be seen, heard, read or measured. */
import {
  symptomCodes,
  type Sound,
  type SymptomAnswer,
  type SymptomCode,
  type TrialMeasured,
  type TrialTiming,
} from '../../evidence/trial/index.ts';
import { chanceOf } from './chance.ts';
import type { StandInWeld } from './weld.ts';

export interface Noted {
  readonly timing: TrialTiming;
  readonly measured: TrialMeasured;
  readonly symptoms: Readonly<Record<SymptomCode, SymptomAnswer>>;
  readonly heard: readonly Sound[];
  readonly displayed: { readonly currentA: number; readonly voltageV: number; readonly state: 'running' };
  readonly pulseHz?: number | undefined;
  readonly plateC: number;
}

/** A rule is read to a tenth of a mm, and is off by so much (assumed). */
const ruleMm = 0.15;

export function notedOf(weld: StandInWeld, lengthMm: number, seed: number): Noted {
  const chance = chanceOf(seed);
  const read = (mm: number) => Math.max(tenths(mm + ruleMm * chance.normal()), 0.3);
  const { there } = weld;
  return {
    timing: { seconds: tenths(weld.seconds), lengthMm, by: 'stand-in' },
    measured: {
      ...(weld.legsMm ? { legsMm: [read(weld.legsMm[0]), read(weld.legsMm[1])] as const } : {}),
      widthMm: read(weld.widthMm),
      heightMm: tenths(weld.heightMm),
      ...(weld.backMm > 0 ? { backMm: tenths(weld.backMm) } : {}),
      spatter: gradeOf(weld.grains),
      soot: weld.soot,
      wireEndMm: Math.max(Math.round(weld.wireEndMm), 0),
    },
    symptoms: Object.fromEntries(
      symptomCodes.map((code) => [
        code,
        there[code] ? { answer: 'yes', severity: chance.happens(0.35) ? 1 : 2 } : { answer: 'no' },
      ]),
    ) as Record<SymptomCode, SymptomAnswer>,
    heard: heardOf(there, weld.isDip),
    displayed: {
      currentA: Math.round(weld.displayedCurrentA),
      voltageV: tenths(weld.displayedVoltageV),
      state: 'running',
    },
    ...(weld.pulseHz >= 5 ? { pulseHz: Math.round(weld.pulseHz) } : {}),
    plateC: Math.round(weld.plateC),
  };
}

/** Grains in a patch of 50 x 50 mm beside the seam: none, under 5, under 20, under 60, more. */
export function gradeOf(grains: number): 0 | 1 | 2 | 3 | 4 {
  if (grains === 0) return 0;
  if (grains < 5) return 1;
  if (grains < 20) return 2;
  return grains < 60 ? 3 : 4;
}

function heardOf(there: StandInWeld['there'], isDip: boolean): Sound[] {
  const base: Sound = isDip
    ? there['frying-rough']
      ? 'frying-rough'
      : 'frying-even'
    : there.crackle
      ? 'hum-crackle'
      : 'hum';
  return [base, ...(['hiss', 'flutter', 'popping'] as const).filter((code) => there[code])];
}

function tenths(value: number): number {
  return Math.round(10 * value) / 10;
}
