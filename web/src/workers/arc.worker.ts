/** Simulates the arc off the page's thread, in slices. */
import { success } from '@fox-tempo/core/base/outcome';
import { beginSimulation } from '@fox-tempo/core/weld/simulation';
import type { ArcWork } from './protocol.ts';
import { serveQuestions } from './serve.ts';

/** Simulated seconds between two looks at the messages: a few milliseconds of work. */
const sliceS = 0.2;

serveQuestions<ArcWork>(async ({ input, traceEveryS }, { part, breathe }) => {
  const begun = beginSimulation(input, traceEveryS);
  if (!begun.ok) return begun;
  const simulation = begun.value;
  while (simulation.doneS < simulation.totalS) {
    simulation.step(sliceS);
    if (simulation.doneS >= simulation.totalS) break;
    part(simulation.doneS / simulation.totalS);
    if (!(await breathe())) break;
  }
  return success(simulation.finish());
});
