/** The words for this page: the catalogue is data, read beside the scripts and kept by the browser until it changes. */
import type { UnitSystem } from '@fox-tempo/core/units';
import { loadWords, type Language, type Words } from '@fox-tempo/words';

const addresses = import.meta.glob<string>(['../../../words/??.json', '../../../words/??-??.json'], {
  query: '?url',
  import: 'default',
  eager: true,
});

export function wordsForPage(language: Language, system: UnitSystem): Promise<Words> {
  return loadWords(language, system, async (wanted) => {
    const answer = await fetch(addresses[`../../../words/${wanted}.json`] ?? '');
    if (!answer.ok) throw new Error(`the words (${wanted}) were not loaded: ${answer.status}`);
    return (await answer.json()) as Record<string, string>;
  });
}
