/** Runs in a worker thread: one computation, its answer as the bytes that go out, so that nothing large is copied or written out on the event loop. */
import { mapRow, verbs, type MapJob, type VerbName } from '@fox-tempo/contract';
import { takeShopTexts, withSentences, wordsIn, type Saying, type ShopTexts } from '@fox-tempo/words';
import type { Issue } from '@fox-tempo/core/base/outcome';
import type { CardContent } from '../modules/cards/index.ts';
import type { DayContent, SheetContent, RecordContent } from '../modules/papers/index.ts';

type ThreadTask =
  | Warming
  | {
      readonly kind: 'verb';
      readonly verb: VerbName;
      readonly input: unknown;
      readonly saying?: Saying;
      /** Its sentences stay codes. */ readonly inCodes?: true;
    }
  | { readonly kind: 'map-row'; readonly job: MapJob; readonly row: number };

/** Only loads the file that it is given to. */
interface Warming {
  readonly kind: 'warm';
}

/** What is printed, by a file of its own. */
export type PaperTask =
  | Warming
  | { readonly kind: 'card'; readonly card: CardContent }
  | { readonly kind: 'procedure'; readonly sheet: SheetContent }
  | { readonly kind: 'trial-record'; readonly record: RecordContent }
  | { readonly kind: 'run-plan'; readonly day: DayContent };

export type Task = ThreadTask | PaperTask;

export type TaskAnswer = { readonly bytes: Uint8Array } | { readonly issues: readonly Issue[] };

/** `left` holds 1 once nobody waits for the answer; it is shared with the thread that asked. */
export default async function run({
  task,
  left,
  texts,
}: {
  readonly task: ThreadTask;
  readonly left: Int32Array;
  readonly texts: ShopTexts;
}): Promise<TaskAnswer> {
  takeShopTexts(texts);
  const isAwaited = () => Atomics.load(left, 0) === 0;
  if (!isAwaited()) return { issues: [] };
  if (task.kind === 'warm') return { issues: [] };
  if (task.kind === 'map-row') return json(mapRow(task.job, task.row));
  const outcome = verbs[task.verb].run(task.input, isAwaited);
  if (!outcome.ok) return { issues: outcome.issues };
  if (task.inCodes) return json(outcome.value);
  const { language = 'en', system = 'metric' } = task.saying ?? {};
  return json(withSentences(outcome.value, await wordsIn(language, system)));
}

function json(value: unknown): TaskAnswer {
  return { bytes: new TextEncoder().encode(JSON.stringify(value)) };
}
