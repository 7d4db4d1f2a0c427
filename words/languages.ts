/** The languages there are. A fifth is one catalogue, its code in the core, and one line in each of these tables. */
import { languages, type Language } from '@fox-tempo/core/said';

export { languages, type Language };

/** Each in its own words, as people look for it. */
export const languageNames: Readonly<Record<Language, string>> = {
  en: 'English',
  de: 'Deutsch',
  es: 'Español',
  pl: 'Polski',
};

/** Whole language tags: how each writes numbers, dates and lists. */
export const locales: Readonly<Record<Language, string>> = { en: 'en-GB', de: 'de-DE', es: 'es-ES', pl: 'pl-PL' };

/** Languages that write a noun within a sentence as at its beginning. */
export const nounsAreLarge: ReadonlySet<Language> = new Set(['de']);

export function isLanguage(text: unknown): text is Language {
  return typeof text === 'string' && (languages as readonly string[]).includes(text);
}

/** The first of the wished languages that there is ("pl-PL, de;q=0.8"), else English. */
export function languageFor(wished: string | readonly string[] | null | undefined): Language {
  const list = typeof wished === 'string' ? wished.split(',') : (wished ?? []);
  for (const one of list) {
    const short = one.trim().slice(0, 2).toLowerCase();
    if (isLanguage(short)) return short;
  }
  return 'en';
}
