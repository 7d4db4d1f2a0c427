/** Runs the arc that a trigger drives, slice by slice as the page's clock goes on. */
import { success } from '@fox-tempo/core/base/outcome';
import { drivenArc } from '@fox-tempo/core/weld/simulation';
import type { DriveWork } from './protocol.ts';
import { serveTalks } from './serve.ts';

serveTalks<DriveWork>(({ input, traceEveryS }) => {
  const begun = drivenArc(input, traceEveryS);
  return begun.ok ? success(({ seconds, command }) => begun.value.step(seconds, command)) : begun;
});
