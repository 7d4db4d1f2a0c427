/** Runs in a worker thread: a printed card. A file of its own, since the font machinery is large and the other tasks need none of it. */
import { wordsIn } from '@fox-tempo/words';
import { cardDensities, cardDocument, type CardContent } from '../modules/cards/card-document.ts';
import { pagesOf, renderPdf } from '../modules/cards/pdf.ts';
import type { TaskAnswer } from './task.ts';

export default async function run({
  task: { card },
}: {
  readonly task: { readonly card: CardContent };
}): Promise<TaskAnswer> {
  // A card hangs at the machine as one page: set closer until it is one. What does not fit even so gets its second page.
  const words = await wordsIn(card.language, card.units);
  let bytes: Buffer = Buffer.alloc(0);
  for (const density of cardDensities) {
    bytes = await renderPdf(cardDocument(card, words, density));
    if (pagesOf(bytes) <= 1) break;
  }
  return { bytes };
}
