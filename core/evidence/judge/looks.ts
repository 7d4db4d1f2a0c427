/** What to look at next: the look that is expected to settle most for its minutes. */
import type { Said } from '../../base/messages/index.ts';
import { symptomChance, type Belief, type CauseEffect, type Noise } from './belief.ts';
import { causeCodes, causes, type CauseCode } from './causes/index.ts';
import { symptomCodes, symptoms, type SymptomCode } from '../trial/index.ts';

export interface Look {
  /** A look at a cause, or a symptom nobody has looked for. */
  readonly code: string;
  readonly words: Said;
  readonly minutes: number;
  /** Expected fall of the doubt, bits. */
  readonly bits: number;
  /** The source is off before hands go there. */
  readonly isolate: boolean;
  /** Causes it would show. */
  readonly shows: readonly CauseCode[];
}

/** A look finds what is there this often, and sees what is not there this often; assumed. */
const finds = 0.9;
const imagines = 0.05;
/** Minutes of looking at a bead that lies on the bench. */
const glance = 0.5;

/** Every look with what it would settle, the best for its minutes first. */
export function looks(
  belief: Belief,
  effects: ReadonlyMap<string, CauseEffect>,
  looked: ReadonlySet<string>,
  noise: Noise,
): Look[] {
  const list: Look[] = [];
  for (const [code, { words, minutes, isolate, shows }] of looksAtCauses()) {
    const bits = settles(belief, ({ codes }) =>
      codes.some((one) => shows.includes(one as CauseCode)) ? finds : imagines,
    );
    list.push({ code, words, minutes, isolate, shows, bits });
  }
  for (const code of symptomCodes) {
    if (looked.has(code)) continue;
    const bits = settles(belief, ({ codes }) =>
      symptomChance(
        codes.flatMap((one) => effects.get(one) ?? []),
        code,
        noise,
      ),
    );
    list.push({
      code,
      words: symptoms[code].name,
      minutes: glance,
      isolate: false,
      shows: causedBy(code, effects),
      bits,
    });
  }
  return list.sort((a, b) => b.bits / b.minutes - a.bits / a.minutes);
}

function looksAtCauses(): Map<string, Omit<Look, 'code' | 'bits'>> {
  const found = new Map<string, Omit<Look, 'code' | 'bits'>>();
  for (const cause of causeCodes) {
    const { words, minutes, isolate = false } = causes[cause].look;
    const code = words.code.replace('judge.', '');
    found.set(code, { words, minutes, isolate, shows: [...(found.get(code)?.shows ?? []), cause] });
  }
  return found;
}

function causedBy(symptom: SymptomCode, effects: ReadonlyMap<string, CauseEffect>): CauseCode[] {
  return causeCodes.filter((code) => (effects.get(code)?.odds[symptom] ?? 0) > 0.2);
}

/** Source: mutual information between a yes/no answer and the sets, in bits. */
function settles({ sets }: Belief, chance: (set: Belief['sets'][number]) => number): number {
  let yes = 0;
  let within = 0;
  for (const set of sets) {
    const p = chance(set);
    yes += set.probability * p;
    within += set.probability * entropy(p);
  }
  return Math.max(entropy(yes) - within, 0);
}

function entropy(p: number): number {
  if (p <= 0 || p >= 1) return 0;
  return -p * Math.log2(p) - (1 - p) * Math.log2(1 - p);
}
