/** Simulates the arc off the page's thread, in slices, so that a cancel is heard within milliseconds. */
import { beginSimulation, type Simulation } from '@fox-tempo/core';
import type { FromWorker, ToWorker } from './protocol.ts';

/** Simulated seconds between two looks at the messages: a few milliseconds of work. */
const sliceS = 0.2;

const cancelled = new Set<number>();

function say(message: FromWorker, transfer: Transferable[] = []): void {
  self.postMessage(message, { transfer });
}

const doorbell = new MessageChannel();
/** Several simulations take turns in one worker; each waits for a ring of its own. */
const breathing: (() => void)[] = [];
doorbell.port1.onmessage = () => breathing.shift()?.();

/** Lets messages in before the next slice; a timer of 0 would wait for milliseconds after the fifth. */
function breathe(): Promise<void> {
  return new Promise((resolve) => {
    breathing.push(resolve);
    doorbell.port2.postMessage(null);
  });
}

async function run({ id, input, traceEveryS }: Extract<ToWorker, { kind: 'simulate' }>): Promise<void> {
  const begun = beginSimulation(input, traceEveryS);
  if (!begun.ok) {
    say({ kind: 'refused', id, issues: begun.issues });
    return;
  }
  const simulation = begun.value;
  while (simulation.doneS < simulation.totalS) {
    simulation.step(sliceS);
    say({ kind: 'progress', id, share: simulation.doneS / simulation.totalS });
    await breathe();
    if (cancelled.delete(id)) {
      say({ kind: 'cancelled', id });
      return;
    }
  }
  const result = simulation.finish();
  say({ kind: 'done', id, result }, buffersOf(result));
}

function buffersOf({ trace, dropAtS, shortAtS }: Simulation): Transferable[] {
  const { timeS, currentA, voltageV, arcLengthMm, extensionMm, dropMm3, gapMm, contact } = trace;
  return [timeS, currentA, voltageV, arcLengthMm, extensionMm, dropMm3, gapMm, contact, dropAtS, shortAtS].map(
    (array) => array.buffer as ArrayBuffer,
  );
}

self.onmessage = ({ data }: MessageEvent<ToWorker>) => {
  if (data.kind === 'cancel') cancelled.add(data.id);
  else void run(data);
};
