/** What the core has to say: a code and the quantities in it. The sentence is hung on the code in the workspace of the words. */
import type { QuantityName } from '../units/quantities.ts';
import type { CoreSentences } from './keys.ts';
import type { Amount, Phrase, Said, SaidValue } from './values.ts';

type ValuesOf<K extends keyof CoreSentences> = CoreSentences[K] extends null ? [] : [CoreSentences[K]];

/** Stands for a value that a sentence can do without: it then leaves out what is about it. */
export const absent = 'absent';

/** Whether something is so, for a sentence that has a part about it. */
export function whether(isSo: boolean): 'yes' | 'absent' {
  return isSo ? 'yes' : absent;
}

export function message<K extends keyof CoreSentences>(code: K, ...[values]: ValuesOf<K>): Said {
  return { code, values: values ?? {} };
}

/**
 * A sentence that keeps somebody from being hurt. It is said as any other; the catalogue of hazards is made from where this is written, and
 * in a language in which nobody has read it the English stands beside it.
 */
export function hazard<K extends keyof CoreSentences>(code: K, ...values: ValuesOf<K>): Said {
  return message(code, ...values);
}

export function amount(kind: QuantityName, value: number, digits?: number): Amount {
  return digits === undefined ? { kind, value } : { kind, value, digits };
}

/** An amount whose unit follows with the next one. */
export function bare(kind: QuantityName, value: number, digits?: number): Amount {
  return { ...amount(kind, value, digits), bare: true };
}

/** How far something is from something else: "+0.4 mm", "−0.4 mm". */
export function signed(kind: QuantityName, value: number, digits?: number): Amount {
  return { ...amount(kind, value, digits), signed: true };
}

/** A name as it stands within a sentence: its first letter small, in languages that write it so. */
export function inSentence(name: Phrase): Said {
  return { code: codes.inSentence, values: { name } };
}

/** Parts of one line, one after the other. */
export function joined(parts: readonly SaidValue[], between = ''): Said {
  return { code: codes.joined, values: { parts, between } };
}

/** Whole sentences, one after the other; null is left out. */
export function sentences(parts: readonly (SaidValue | null)[]): Said {
  return joined(
    parts.filter((part) => part !== null),
    ' ',
  );
}

/**
 * A calculation whose constants are metric: it is said in metric units in every system, and its result in the reader's beside it, so that
 * the printed terms add up.
 */
export function sum(calculation: Phrase, result?: Amount): Said {
  return { code: codes.sum, values: { sum: calculation, ...(result === undefined ? {} : { result }) } };
}

/** All of these: "wire, gas and tip". */
export function allOf(parts: readonly SaidValue[]): Said {
  return { code: codes.allOf, values: { parts } };
}

/** One of these: "lead hand, office or owner". */
export function oneOf(parts: readonly SaidValue[]): Said {
  return { code: codes.oneOf, values: { parts } };
}

/** Codes that no catalogue holds: they say how others are put together. */
export const codes = {
  inSentence: '~in-sentence',
  joined: '~joined',
  oneOf: '~one-of',
  allOf: '~all-of',
  sum: '~sum',
} as const;

/** True of what this file makes, whatever way it came through. */
export function isSaid(value: unknown): value is Said {
  if (typeof value !== 'object' || value === null || !('code' in value) || !('values' in value)) return false;
  return typeof value.code === 'string' && typeof value.values === 'object' && Object.keys(value).length === 2;
}
