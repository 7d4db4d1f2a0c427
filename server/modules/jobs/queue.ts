/** The queue in PostgreSQL: any worker process on any machine takes the next job; one whose worker fell silent is taken up again. */
import { message } from '@fox-tempo/words';
import { english } from '@fox-tempo/words/english';
import { mapRow, readMapJob } from '@fox-tempo/contract';
import type { Cell } from '@fox-tempo/core/weld/zone-map';
import PgBoss from 'pg-boss';
import type { ComputePool } from '../../compute-pool/pool.ts';
import type { Connection } from '../../db/connection.ts';
import { factsOf, log } from '../../http/log.ts';
import { beat, beginJob, endJob, isJob, silentJobs } from './repo.ts';

const queueName = 'computations';
/** A worker says every row that it lives; silent for longer, it is taken for dead. */
const silenceS = 15;

export interface JobQueue {
  send(id: string): Promise<void>;
  /** Takes jobs up in this process. */
  work(pool: ComputePool): Promise<void>;
  close(): Promise<void>;
}

export function createJobQueue(url: string, connection: Connection): JobQueue {
  let opening: Promise<PgBoss> | undefined;
  let reaper: NodeJS.Timeout | undefined;
  const open = () =>
    (opening ??= (async () => {
      const boss = new PgBoss({ connectionString: url, schema: 'pgboss', max: 3 });
      boss.on('error', (error) => log.warn('the job queue lost the database', factsOf(error)));
      await boss.start();
      await boss.createQueue(queueName, { name: queueName, retryLimit: 2, retryDelay: 1, expireInSeconds: 3600 });
      return boss;
    })().catch((error: unknown) => {
      // Tried anew at the next job; the database may be back by then.
      opening = undefined;
      throw error;
    }));

  async function runJob(id: string, pool: ComputePool): Promise<void> {
    const { db } = connection;
    const job = await beginJob(db, id);
    if (!job) {
      // Called off, or asked for in a transaction that has not ended yet: then it is tried again in a moment.
      if (!(await isJob(db, id))) throw new Error(`job ${id} is not there yet`);
      return;
    }
    const read = readMapJob(job.input);
    if (!read.ok) {
      await endJob(db, id, job.tries, {
        state: 'failed',
        trouble: english.format(read.issues[0]?.message ?? message('server.jobs.error.question-refused')),
      });
      return;
    }
    const { count, request } = read.value;
    const rows: Cell[][] = [];
    for (let row = 0; row < count; row++) {
      const bytes = await pool.run({ kind: 'map-row', job: read.value, row });
      rows.push(JSON.parse(bytes.toString()) as ReturnType<typeof mapRow>);
      if (!(await beat(db, id, job.tries, (row + 1) / count))) return;
    }
    await endJob(db, id, job.tries, { state: 'done', answer: { x: request.x, y: request.y, count, rows } });
  }

  return {
    async send(id) {
      await (await open()).send(queueName, { id }, { id });
    },
    async work(pool) {
      const boss = await open();
      await boss.work<{ id: string }>(queueName, { pollingIntervalSeconds: 0.5 }, async ([job]) => {
        if (job) await runJob(job.data.id, pool);
      });
      reaper = setInterval(() => {
        void silentJobs(connection.db, silenceS)
          .then((ids) => Promise.all(ids.map((id) => boss.fail(queueName, id))))
          .catch((error: unknown) => log.warn('silent jobs could not be looked for', factsOf(error)));
      }, 5000);
      reaper.unref();
    },
    async close() {
      clearInterval(reaper);
      const boss = await opening?.catch(() => undefined);
      await boss?.stop({ graceful: true, timeout: 2000 }).catch(() => undefined);
    },
  };
}
