import { message } from '@fox-tempo/words';
import { readMapJob, type Job } from '@fox-tempo/contract';
import type { Executor } from '../../db/connection.ts';
import { Raw, type Handlers } from '../../http/endpoints.ts';
import { HttpProblem, orProblem } from '../../http/problem.ts';
import type { JobQueue } from './queue.ts';
import { cancelJob, findJob, insertJob } from './repo.ts';

const uuid = /^[0-9a-f-]{36}$/i;
/** How often a follower hears of progress, ms. */
const everyMs = 400;

export function jobHandlers(queue: JobQueue): Pick<Handlers, 'addJob' | 'job' | 'jobEvents' | 'cancelJob'> {
  return {
    addJob: async ({ db, key, body, me }) => {
      orProblem(readMapJob(body.input));
      await insertJob(db, { id: key, verb: body.verb, input: body.input, createdBy: me.id });
      await queue.send(key);
      return requireJob(db, key, me.id);
    },
    job: ({ db, params, me }) => requireJob(db, params.id, me.id),
    cancelJob: async ({ db, params, me }) => {
      await requireJob(db, params.id, me.id);
      await cancelJob(db, params.id);
      return requireJob(db, params.id, me.id);
    },
    jobEvents: async ({ db, params, signal, me }) => {
      let job = await requireJob(db, params.id, me.id);
      return new Raw((response) => {
        response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' });
        const format = () => {
          const { state, progress, tries, trouble } = job;
          response.write(`data: ${JSON.stringify({ state, progress, tries, trouble })}\n\n`);
          (response as { flush?: () => void }).flush?.();
        };
        void (async () => {
          format();
          while (!signal.aborted && (job.state === 'waiting' || job.state === 'running')) {
            await new Promise((resolve) => setTimeout(resolve, everyMs));
            job = await requireJob(db, params.id, me.id);
            format();
          }
        })()
          .catch(() => undefined)
          .finally(() => response.end());
      });
    },
  };
}

/** One's own; another's is not there for you. */
async function requireJob(db: Executor, id: string, personId: string): Promise<Job> {
  const job = uuid.test(id) ? await findJob(db, id, personId) : undefined;
  if (!job) throw new HttpProblem('not-found', message('server.jobs.error.no-job', { id: id.slice(0, 40) }));
  return job;
}
