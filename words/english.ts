/** The English words at once, for whoever cannot wait for a chunk: tests of what is said. */
import type { Phrase, SaidValue } from '@fox-tempo/core/base/messages';
import catalogue from './en.json' with { type: 'json' };
import { formatIn } from './with-sentences.ts';
import { makeWords, type Words } from './words.ts';

export const english: Words = makeWords(catalogue, 'en', 'metric');

/** What was said, in English; things and rows of things with what they say. */
export function inEnglish(said: readonly Phrase[]): string[];
export function inEnglish(said: SaidValue | null | undefined): string;
export function inEnglish(value: unknown): unknown;
export function inEnglish(value: unknown): unknown {
  return value === undefined || value === null ? '' : formatIn(value, english);
}
