/**
 * Sentences that keep somebody from being hurt. A translation nobody of the shop has read stands with the English beside it; who has read
 * which, and when, is in reviewed.json, with the text that was read: one changed later counts as unread.
 */
import type { Language } from './languages.ts';

export interface Review {
  readonly by: string;
  /** The day, as 2026-11-26. */
  readonly on: string;
  /** What was read. */
  readonly text: string;
}

export type Reviews = Readonly<Record<string, Readonly<Record<string, Review>>>>;

/** English of the hazard sentences (`english`, by key) that nobody has read in `language`. */
export function unread(
  language: Language,
  catalogue: Readonly<Record<string, string>>,
  english: Readonly<Record<string, string>>,
  reviews: Reviews,
): Readonly<Record<string, string>> {
  if (language === 'en') return {};
  return Object.fromEntries(
    Object.entries(english).filter(([key]) => reviews[language]?.[key]?.text !== catalogue[key]),
  );
}
