/** The languages there are. A new one is a catalogue, its tag in the core, and one line here; docs/translating.md has the whole way. */
import { languages, type Language } from '@fox-tempo/core/base/messages';

export { languages, type Language };

interface Written {
  /** In its own words, as people look for it. */
  readonly name: string;
  /** How it writes numbers, dates and lists. */
  readonly locale: string;
  /** Between digits and unit. English pages break where they like; elsewhere the two stay together. */
  readonly unitSpace: ' ' | '\u00a0';
  /** Whether a noun within a sentence is written as at its beginning. */
  readonly nounsAreLarge?: true;
  readonly dir: 'ltr' | 'rtl';
  /** Chooses the fonts: web/src/theme has a row of them for each. */
  readonly script: 'latin';
  /** Written by a machine: no native reader has confirmed the whole yet, and pages say so. */
  readonly machineMade?: true;
}

const latin = { unitSpace: '\u00a0', dir: 'ltr', script: 'latin' } as const;

export const written: Readonly<Record<Language, Written>> = {
  en: { ...latin, name: 'English', locale: 'en-GB', unitSpace: ' ' },
  de: { ...latin, name: 'Deutsch', locale: 'de-DE', nounsAreLarge: true },
  es: { ...latin, name: 'Español', locale: 'es-ES' },
  pl: { ...latin, name: 'Polski', locale: 'pl-PL' },
  'pt-BR': { ...latin, name: 'Português (Brasil)', locale: 'pt-BR', machineMade: true },
};

export function isLanguage(text: unknown): text is Language {
  return typeof text === 'string' && (languages as readonly string[]).includes(text);
}

/** The first of the wished languages that there is ("pl-PL, de;q=0.8"): the whole tag, else one of the same language; else English. */
export function languageFor(wished: string | readonly string[] | null | undefined): Language {
  const list = typeof wished === 'string' ? wished.split(',') : (wished ?? []);
  for (const one of list) {
    const tag = one.split(';')[0]?.trim().toLowerCase() ?? '';
    const base = (text: string) => text.toLowerCase().split('-')[0];
    const found =
      languages.find((known) => known.toLowerCase() === tag) ?? languages.find((known) => base(known) === base(tag));
    if (found) return found;
  }
  return 'en';
}
