/** Which filler a base material grade takes: what fits, what is cautioned, what is refused, each with the way out. */
import { message, type Phrase } from '../../base/messages/index.ts';
import { canonicalFiller, fillerOf, type FillerCode } from '../consumables/fillers.ts';
import { grades, type Grade } from './grades.ts';
import type { MaterialGroup } from '../consumables/materials.ts';

/**
 * The known grade that a code or a free text names; undefined when it names none. The longest name counts, so that S355 in "S355J2, plate" is not
 * taken for a part of another word.
 */
export function gradeNamed(text: string, group: MaterialGroup): Grade | undefined {
  const said = ` ${text.toLowerCase().replaceAll(/[^a-z0-9+.-]+/g, ' ')} `;
  return grades
    .filter((grade) => grade.group === group)
    .flatMap((grade) => [grade.code, ...grade.names].map((name) => ({ grade, name: name.toLowerCase() })))
    .filter(({ name }) => said.includes(` ${name} `))
    .sort((a, b) => b.name.length - a.name.length)[0]?.grade;
}

export interface GradeFit {
  readonly verdict: 'caution' | 'refused';
  readonly message: Phrase;
  /** Codes of fillers to take instead, the best first. */
  readonly instead: readonly FillerCode[];
}

/** Null where the filler suits the grade, or nothing is known against it. */
export function gradeFit(grade: Grade, filler: FillerCode): GradeFit | null {
  const own = canonicalFiller(filler);
  const { fillers, refused } = grade;
  const words = { grade: grade.code, filler: fillerOf(own).name };
  const includes = (list: readonly FillerCode[]) => list.some((code) => canonicalFiller(code) === own);
  if (refused && includes(refused.fillers))
    return { verdict: 'refused', message: message(refused.why, words), instead: fillers };
  if (includes(fillers)) return null;
  const [best] = fillers;
  if (best === undefined && grade.otherwise === undefined) return null;
  return {
    verdict: 'caution',
    message: message(grade.otherwise ?? 'consumables.grade.usual-filler', {
      ...words,
      best: best === undefined ? '' : fillerOf(best).name,
    }),
    instead: fillers,
  };
}
