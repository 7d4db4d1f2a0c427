/** The page's one sound worker. */
import { t } from '../lib/words.ts';
import type { PowerTrace } from '@fox-tempo/core/weld/sound';
import type { SoundWork } from './protocol.ts';
import { supervise } from './supervised.ts';

const sounds = supervise<SoundWork>(
  t('view.workers.the-sound'),
  () => new Worker(new URL('./sound.worker.ts', import.meta.url), { type: 'module' }),
);

/** Samples at a rate, in the order they were asked for; null where they could not be made. */
export async function soundOf(trace: PowerTrace, rateHz: number): Promise<Float32Array<ArrayBuffer> | null> {
  const outcome = await sounds.ask({ trace, rateHz });
  return outcome.ok ? outcome.value : null;
}
