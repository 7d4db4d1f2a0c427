/** Runs in a worker thread: a printed card. A file of its own, since the font machinery is large and the other tasks need none of it. */
import { cardDocument, type CardContent } from '../modules/cards/card-document.ts';
import { renderPdf } from '../modules/cards/pdf.ts';
import type { TaskAnswer } from './task.ts';

export default async function run({
  task: { card },
}: {
  readonly task: { readonly card: CardContent };
}): Promise<TaskAnswer> {
  return { bytes: await renderPdf(cardDocument(card)) };
}
