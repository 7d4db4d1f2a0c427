/** The words for this page: the catalogue is data, read beside the scripts and kept by the browser until it changes. */
import type { UnitSystem } from '@fox-tempo/core/base/units';
import { isWhole, loadWords, takeShopTexts, type Language, type Texts, type Words } from '@fox-tempo/words';

const addresses = import.meta.glob<string>(['../../../words/??.json', '../../../words/??-??.json'], {
  query: '?url',
  import: 'default',
  eager: true,
});

export async function wordsForPage(language: Language, system: UnitSystem): Promise<Words> {
  const [own] = await Promise.all([ownTexts(language), catalogueOf(language)]);
  takeShopTexts({ [language]: own });
  return loadWords(language, system, catalogueOf, { former: {}, isWhole: isWhole(language) });
}

const loading = new Map<Language, Promise<Texts>>();

async function catalogueOf(language: Language): Promise<Texts> {
  const known = loading.get(language);
  if (known) return known;
  const asked = fetch(addresses[`../../../words/${language}.json`] ?? '').then(async (answer) => {
    if (!answer.ok) throw new Error(`the words (${language}) were not loaded: ${answer.status}`);
    return (await answer.json()) as Texts;
  });
  loading.set(language, asked);
  return asked;
}

/** What readers of this shop confirmed or corrected; a page without the server speaks as it was shipped. */
async function ownTexts(language: Language): Promise<Texts> {
  if (language === 'en') return {};
  const answer = await fetch(`/api/words/${language}`).catch(() => null);
  if (!answer?.ok) return {};
  const { reviews } = (await answer.json()) as { readonly reviews: readonly { key: string; text: string }[] };
  return Object.fromEntries(reviews.map(({ key, text }) => [key, text]));
}

export interface ShippedTexts {
  readonly english: Texts;
  readonly own: Texts;
  /** English of what keeps somebody from being hurt. */
  readonly hazards: Texts;
}

/** Everything that ships in a language, for those who read it over. */
export async function shippedTexts(language: Language): Promise<ShippedTexts> {
  const [english, own, { default: hazards }] = await Promise.all([
    catalogueOf('en'),
    catalogueOf(language),
    import('../../../words/hazards.en.json'),
  ]);
  return { english, own, hazards };
}
