/** Catalogues, each a file of its own that is loaded once. */
import type { UnitSystem } from '@fox-tempo/core/units';
import { sentenceCount } from './keys.ts';
import { unread } from './hazards.ts';
import type { Language } from './languages.ts';
import { makeWords, type Catalogue, type Words } from './words.ts';

const files: Readonly<Record<Language, () => Promise<{ default: Catalogue }>>> = {
  en: () => import('./en.json', { with: { type: 'json' } }),
  de: () => import('./de.json', { with: { type: 'json' } }),
  es: () => import('./es.json', { with: { type: 'json' } }),
  pl: () => import('./pl.json', { with: { type: 'json' } }),
  'pt-BR': () => import('./pt-BR.json', { with: { type: 'json' } }),
};

const made = new Map<string, Promise<Words>>();

/** One of each: what was compiled once is not compiled again. */
export function wordsIn(language: Language, system: UnitSystem): Promise<Words> {
  const key = `${language} ${system}`;
  const words = made.get(key) ?? loadWords(language, system, async (wanted) => (await files[wanted]()).default);
  made.set(key, words);
  return words;
}

/** Words whose catalogue comes from `load`. What a catalogue lacks is said in English. */
export async function loadWords(
  language: Language,
  system: UnitSystem,
  load: (language: Language) => Promise<Readonly<Record<string, string>>>,
): Promise<Words> {
  const catalogue = await load(language);
  // An English page needs none of it, and the first view is small.
  const hazards = language === 'en' ? {} : await unreadIn(language, catalogue);
  if (language === 'en' || Object.keys(catalogue).length >= sentenceCount)
    return makeWords(catalogue, language, system, { hazards });
  return makeWords(catalogue, language, system, { hazards, spare: await load('en') });
}

async function unreadIn(language: Language, catalogue: Readonly<Record<string, string>>) {
  const [{ default: english }, { default: reviews }] = await Promise.all([
    import('./hazards.en.json', { with: { type: 'json' } }),
    import('./reviewed.json', { with: { type: 'json' } }),
  ]);
  return unread(language, catalogue, english, reviews);
}
