/** Runs the arc that a trigger drives, slice by slice as the page's clock goes on. */
import { drivenArc, type DrivenArc } from '@fox-tempo/core';
import type { FromDrive, ToDrive } from './drive-protocol.ts';

let arc: { readonly id: number; readonly driven: DrivenArc } | null = null;

function say(message: FromDrive, transfer: Transferable[] = []): void {
  self.postMessage(message, { transfer });
}

self.onmessage = ({ data }: MessageEvent<ToDrive>) => {
  if (data.kind === 'begin') {
    const begun = drivenArc(data.input, data.traceEveryS);
    arc = begun.ok ? { id: data.id, driven: begun.value } : null;
    say(begun.ok ? { kind: 'ready', id: data.id } : { kind: 'refused', id: data.id, issues: begun.issues });
    return;
  }
  // A step for an arc that has been replaced is nobody's.
  if (arc?.id !== data.id) return;
  const slice = arc.driven.step(data.seconds, data.command);
  const { timeS, currentA, voltageV, arcLengthMm, extensionMm, dropMm3, gapMm, contact } = slice.trace;
  say(
    { kind: 'slice', id: data.id, slice },
    [timeS, currentA, voltageV, arcLengthMm, extensionMm, dropMm3, gapMm, contact].map(
      (array) => array.buffer as ArrayBuffer,
    ),
  );
};
