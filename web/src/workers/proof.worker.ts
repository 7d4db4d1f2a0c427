/** A solver from elsewhere on a schedule that the search could not prove: HiGHS, as WebAssembly, for some seconds. */
import { failure, success } from '@fox-tempo/core/base/outcome';
import { programOf, proofBy, type Solved } from '@fox-tempo/core/day/schedule';
import loadHighs from 'highs';
import runtime from 'highs/runtime?url';
import { t } from '../lib/words.ts';
import type { ProofWork } from './protocol.ts';
import { serveQuestions } from './serve.ts';

const loaded = loadHighs({ locateFile: () => runtime });
/** Kept so that a plan is not waited for longer than it takes to read it, s. */
const mostSeconds = 8;
const optimal = 7;

serveQuestions<ProofWork>(async ({ input, known }) => {
  const highs = await loaded;
  const solved = highs.withModel({ format: 'lp', data: programOf(input) }, (model): Solved | null => {
    model.options.set({ output_flag: false, time_limit: mostSeconds, mip_rel_gap: 1e-6 });
    model.run();
    const bound = model.info.get('mip_dual_bound');
    if (typeof bound !== 'number') return null;
    const isDone = model.getModelStatus() === optimal;
    const { colValue } = model.getSolution();
    const columns = Number.isFinite(model.getObjectiveValue())
      ? Object.fromEntries([...colValue].map((value, at) => [model.getColName(at), value]))
      : null;
    return { bound: isDone ? model.getObjectiveValue() : bound, columns };
  });
  if (!solved) return failure({ path: '', code: 'worker-failed', message: t('view.run-plan.no-answer') });
  return success(proofBy(input, known, solved));
});
