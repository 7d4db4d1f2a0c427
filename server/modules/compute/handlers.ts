/** The core's questions over HTTP: the same shapes and answers as at the command line; what takes long is computed in a worker thread. */
import { message } from '@fox-tempo/words';
import { verbNames, verbs, type VerbName } from '@fox-tempo/contract';
import type { ComputePool } from '../../compute-pool/pool.ts';
import { Raw, type Handlers } from '../../http/endpoints.ts';
import { HttpProblem, orProblem } from '../../http/problem.ts';
import { wordsOf } from '../../http/words.ts';

/** Closed sums of a few microseconds to a millisecond; a thread would cost more than they do. */
const quick: ReadonlySet<string> = new Set(['melt', 'pulse', 'plan', 'double-pulse', 'bead', 'heat']);

export function computeHandlers(pool: ComputePool): Pick<Handlers, 'compute'> {
  return {
    compute: async ({ params, body, signal, http }) => {
      const { verb } = params;
      if (!Object.hasOwn(verbs, verb))
        throw new HttpProblem(
          'not-found',
          message('server.compute.error.no-computation', { name: verb.slice(0, 40), verbNames }),
        );
      if (quick.has(verb)) return orProblem(verbs[verb as VerbName].run(body));
      const { language, system } = wordsOf(http.response);
      const bytes = await pool.run(
        { kind: 'verb', verb: verb as VerbName, input: body, saying: { language, system } },
        signal,
      );
      return new Raw((response) => response.type('application/json').send(bytes));
    },
  };
}
