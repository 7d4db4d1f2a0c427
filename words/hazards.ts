/**
 * Sentences that keep somebody from being hurt. A translation nobody of the shop has read stands with the English beside it; who has read
 * which, and when, is in reviewed.json, with the text that was read: one changed later counts as unread.
 */
import english from './hazards.en.json' with { type: 'json' };
import type { Language } from './languages.ts';
import reviewed from './reviewed.json' with { type: 'json' };

export interface Review {
  readonly by: string;
  /** The day, as 2026-11-26. */
  readonly on: string;
  /** What was read. */
  readonly text: string;
}

export type Reviews = Readonly<Record<string, Readonly<Record<string, Review>>>>;

/** English of the hazard sentences that nobody has read in `language`, by key. */
export function unread(
  language: Language,
  catalogue: Readonly<Record<string, string>>,
  reviews: Reviews = reviewed,
): Readonly<Record<string, string>> {
  if (language === 'en') return {};
  return Object.fromEntries(
    Object.entries(english).filter(([key]) => reviews[language]?.[key]?.text !== catalogue[key]),
  );
}
