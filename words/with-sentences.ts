/** An answer of the core for a reader without the catalogues: each thing said becomes its sentence, with code and values beside it. */
import { isSaid, type Said } from '@fox-tempo/core/base/messages';
import type { Words } from './words.ts';

/** `message: {code, values}` becomes `message: "..."` and `messageSaid: {code, values}`; rows likewise. A hazard that nobody
 * has read in this language has `messageInEnglish` too. Numbers and arrays of them are left alone. */
export function withSentences(value: unknown, words: Words): unknown {
  return told(value, words, true);
}

/** Each thing said becomes its sentence, and nothing is added. */
export function formatIn(value: unknown, words: Words): unknown {
  return told(value, words, false);
}

function told(value: unknown, words: Words, beside: boolean): unknown {
  if (typeof value !== 'object' || value === null || ArrayBuffer.isView(value)) return value;
  if (isSaid(value)) return words.format(value);
  if (Array.isArray(value)) {
    return typeof value[0] === 'number' ? value : value.map((one: unknown) => told(one, words, beside));
  }
  const out: Record<string, unknown> = {};
  for (const [key, inner] of Object.entries(value)) {
    out[key] = told(inner, words, beside);
    if (!beside || !(isSaid(inner) || isRowOfSaid(inner))) continue;
    out[`${key}Said`] = inner;
    const hazard = isSaid(inner) ? words.beside(inner) : undefined;
    if (hazard !== undefined) out[`${key}InEnglish`] = hazard;
  }
  return out;
}

function isRowOfSaid(value: unknown): value is readonly Said[] {
  return Array.isArray(value) && value.length > 0 && value.every(isSaid);
}
