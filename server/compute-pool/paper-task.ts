/** Runs in a worker thread: a printed page. A file of its own, since the font machinery is large and the other tasks need none of it. */
import { takeShopTexts, wordsIn, type ShopTexts } from '@fox-tempo/words';
import { cardDensities, cardDocument, type CardContent } from '../modules/cards/index.ts';
import { pagesOf, renderPdf, procedureDocument, runPlanDocument, trialDocument } from '../modules/papers/index.ts';
import type { PaperTask, TaskAnswer } from './task.ts';

export default async function run({
  task,
  texts,
}: {
  readonly task: PaperTask;
  readonly texts: ShopTexts;
}): Promise<TaskAnswer> {
  takeShopTexts(texts);
  switch (task.kind) {
    case 'warm':
      return { issues: [] };
    case 'card':
      return { bytes: await card(task.card) };
    case 'procedure': {
      const { language, units } = task.sheet;
      return { bytes: await renderPdf(procedureDocument(task.sheet, await wordsIn(language, units))) };
    }
    case 'run-plan': {
      const { language, units } = task.day;
      return { bytes: await renderPdf(runPlanDocument(task.day, await wordsIn(language, units))) };
    }
    case 'trial-record': {
      const { language, units } = task.record;
      return { bytes: await renderPdf(trialDocument(task.record, await wordsIn(language, units))) };
    }
  }
}

/** A card hangs at the machine as one page: set closer until it is one. What does not fit even so gets its second page. */
async function card(content: CardContent): Promise<Buffer> {
  const words = await wordsIn(content.language, content.units);
  let bytes: Buffer = Buffer.alloc(0);
  for (const density of cardDensities) {
    bytes = await renderPdf(cardDocument(content, words, density));
    if (pagesOf(bytes) <= 1) break;
  }
  return bytes;
}
