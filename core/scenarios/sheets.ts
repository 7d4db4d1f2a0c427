/** Seams as a sheet holds them: what is welded, and what was chosen for it. */
import type { DescribedSeam, SettingChoice } from '../site/index.ts';
import type { Scenario } from './marrowby.ts';

/** As it goes over the wire, where a pair is not readonly. */
type SheetSeam = Omit<DescribedSeam, 'thicknessesMm'> & { readonly thicknessesMm: [number, number] };

/** Solid steel wire 1.0 in argon with 18 % carbon dioxide, everything else left to the plan. */
export const steelPulse: SettingChoice = {
  mode: 'pulse',
  filler: 'steel-solid',
  gas: 'M21-ArC-18',
  diameterMm: 1,
  arcHabit: 'by-joint',
  wireFeedMPerMin: null,
  tune: null,
  sequence: null,
};

/** A tee of 2 mm steel in the flat fillet position, with every figure left to the plan that may be. */
export const steelTee: SheetSeam = {
  materialGroup: 'steel',
  grade: '',
  thicknessesMm: [2, 2],
  joint: 'tee',
  position: 'PB',
  gapMm: 0,
  legMm: null,
  lengthMm: 200,
  travelMmPerMin: null,
};

/** A scenario as somebody would have filled it in, before anything was chosen by hand. */
export function sheetOf({ name, grade, input }: Scenario): {
  readonly spec: SheetSeam & { readonly name: string };
  readonly choice: SettingChoice;
} {
  const { seam, mode, filler, gas, diameterMm, arcHabit } = input;
  const [first, second] = seam.thicknessesMm;
  return {
    spec: {
      name,
      grade,
      materialGroup: seam.materialGroup,
      thicknessesMm: [first, second],
      joint: seam.joint,
      position: seam.position,
      gapMm: seam.gapMm,
      legMm: seam.legMm ?? null,
      lengthMm: seam.lengthMm,
      travelMmPerMin: seam.travelMmPerMin ?? null,
      ...(seam.preparation ? { preparation: seam.preparation } : {}),
    },
    choice: { ...steelPulse, mode, filler, gas, diameterMm, arcHabit },
  };
}
