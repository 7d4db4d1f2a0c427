/** Catalogues, each a file of its own that is loaded once. */
import type { UnitSystem } from '@fox-tempo/core/base/units';
import { unread } from './hazards.ts';
import type { Language } from './languages.ts';
import { shopTexts, type Texts } from './shop-texts.ts';
import untranslated from './untranslated.json' with { type: 'json' };
import { makeWords, type Words } from './words.ts';

/** A sentence may wait to be translated: a test counts those, the compiler does not refuse them. */
const files: Readonly<Record<Language, () => Promise<{ default: Readonly<Record<string, string>> }>>> = {
  en: () => import('./en.json', { with: { type: 'json' } }),
  de: () => import('./de.json', { with: { type: 'json' } }),
  es: () => import('./es.json', { with: { type: 'json' } }),
  pl: () => import('./pl.json', { with: { type: 'json' } }),
  'pt-BR': () => import('./pt-BR.json', { with: { type: 'json' } }),
};

let made = new Map<string, Promise<Words>>();
/** The texts of the shop with which those were made. */
let madeWith = shopTexts();

/** One of each: what was compiled once is not compiled again. */
export function wordsIn(language: Language, system: UnitSystem): Promise<Words> {
  if (madeWith !== shopTexts()) {
    madeWith = shopTexts();
    made = new Map();
  }
  const key = `${language} ${system}`;
  const words = made.get(key) ?? loadKept(language, system);
  made.set(key, words);
  return words;
}

/** True where no sentence of the language waits to be translated. */
export function isWhole(language: Language): boolean {
  return untranslated[language].length === 0;
}

/** Words that also say what older versions recorded: its keys had other names. */
async function loadKept(language: Language, system: UnitSystem): Promise<Words> {
  const { default: former } = await import('./former-keys.json', { with: { type: 'json' } });
  const load = async (wanted: Language) => (await files[wanted]()).default;
  return loadWords(language, system, load, { former, isWhole: isWhole(language) });
}

/** Words whose catalogue comes from `load`. What a catalogue lacks is said in English. */
export async function loadWords(
  language: Language,
  system: UnitSystem,
  load: (language: Language) => Promise<Readonly<Record<string, string>>>,
  { former, isWhole }: { readonly former: Readonly<Record<string, string>>; readonly isWhole: boolean },
): Promise<Words> {
  const own = shopTexts()[language] ?? {};
  const shipped = await load(language);
  const catalogue = { ...shipped, ...own };
  // An English page needs none of it, and the first view is small.
  const hazards = language === 'en' ? {} : await unreadIn(language, shipped, own);
  if (isWhole) return makeWords(catalogue, language, system, { hazards, former });
  return makeWords(catalogue, language, system, { hazards, former, spare: await load('en') });
}

async function unreadIn(language: Language, catalogue: Readonly<Record<string, string>>, own: Texts) {
  const [{ default: english }, { default: reviews }] = await Promise.all([
    import('./hazards.en.json', { with: { type: 'json' } }),
    import('./reviewed.json', { with: { type: 'json' } }),
  ]);
  const left = Object.entries(unread(language, catalogue, english, reviews));
  return Object.fromEntries(left.filter(([key]) => !Object.hasOwn(own, key)));
}
