/** Runs places of a map off the page's thread, handing over what is done every few milliseconds, so that a cancel is heard soon. */
import { mapCell, type Cell } from '@fox-tempo/core';
import type { FromMapWorker, ToMapWorker } from './map-protocol.ts';

/** Work between two looks at the messages, ms. */
const sliceMs = 20;

let current = -1;

function say(message: FromMapWorker): void {
  self.postMessage(message);
}

async function run({ id, request, count, places }: Extract<ToMapWorker, { kind: 'cells' }>): Promise<void> {
  current = id;
  let done: { readonly place: number; readonly cell: Cell }[] = [];
  let since = performance.now();
  for (const place of places) {
    done.push({ place, cell: mapCell(request, place % count, Math.floor(place / count), count) });
    if (performance.now() - since < sliceMs) continue;
    say({ kind: 'cells', id, done });
    done = [];
    // Lets a cancel in before the next slice.
    await new Promise((resolve) => setTimeout(resolve, 0));
    if (current !== id) return;
    since = performance.now();
  }
  say({ kind: 'cells', id, done });
  say({ kind: 'finished', id });
}

self.onmessage = ({ data }: MessageEvent<ToMapWorker>) => {
  if (data.kind === 'cancel') {
    if (current === data.id) current = -1;
  } else void run(data);
};
