/** The wire and gas a metal usually gets in this shop, and what follows when the metal changes under a wire that does not join it. */
import type { ProgramChoice } from '@fox-tempo/contract';
import { fillerOf, materialOf, type MaterialGroup } from '@fox-tempo/core/metal/consumables';
import { gradeFit, gradeNamed } from '@fox-tempo/core/metal/grades';

type WireAndGas = Pick<ProgramChoice, 'filler' | 'gas' | 'diameterMm'>;

const usual: Record<MaterialGroup, WireAndGas> = {
  steel: { filler: 'steel-solid', gas: 'M21-ArC-18', diameterMm: 1.0 },
  stainless: { filler: 'stainless-solid', gas: 'M12-ArC-2', diameterMm: 1.0 },
  aluminium: { filler: 'aluminium-5356', gas: 'I1', diameterMm: 1.2 },
  galvanised: { filler: 'cusi3', gas: 'I1', diameterMm: 1.0 },
};

/** Of the metal, with the filler that its grade asks for. */
export function usualWire(group: MaterialGroup, grade: string): WireAndGas {
  const wire = usual[group];
  const known = gradeNamed(grade, group);
  const best = known && gradeFit(known, wire.filler)?.instead[0];
  return best === undefined ? wire : { ...wire, filler: best };
}

/** The choice with the filler that a changed grade asks for; as it was where that one suits. */
export function followGrade(choice: ProgramChoice, group: MaterialGroup, grade: string): ProgramChoice {
  const known = gradeNamed(grade, group);
  const best = known && gradeFit(known, choice.filler)?.instead[0];
  return best === undefined ? choice : { ...choice, ...withFiller(choice, best), wireFeedMPerMin: null };
}

/** The gas this shop would hang on for a filler. */
export function usualGas(filler: ProgramChoice['filler']): string {
  return (
    Object.values(usual).find((wire) => fillerOf(wire.filler).family === fillerOf(filler).family)?.gas ?? 'M21-ArC-18'
  );
}

/** The choice, with wire and gas following the metal where the present wire does not join it. */
export function followMetal(choice: ProgramChoice, group: MaterialGroup, grade: string): ProgramChoice {
  if (materialOf(group).families.includes(fillerOf(choice.filler).family)) return choice;
  // The feed chosen for the old wire means nothing on the new one.
  return { ...choice, ...usualWire(group, grade), wireFeedMPerMin: null };
}

/** The choice with another filler: a cored wire runs in its own way, a solid one never in that. */
export function withFiller(choice: ProgramChoice, filler: ProgramChoice['filler']): Partial<ProgramChoice> {
  const isCored = fillerOf(filler).construction === 'cored';
  const wasCored = fillerOf(choice.filler).construction === 'cored';
  if (isCored && choice.mode !== 'cored') {
    const gas = fillerOf(filler).shielding === 'self' ? 'none' : choice.gas === 'none' ? 'M21-ArC-18' : choice.gas;
    return { filler, mode: 'cored', gas, wireFeedMPerMin: null };
  }
  if (!isCored && wasCored) return { filler, mode: 'pulse', gas: usualGas(filler), wireFeedMPerMin: null };
  return { filler };
}
