import { csvAnswer } from '../../http/csv-answer.ts';
import type { Handlers } from '../../http/endpoints.ts';
import { trialsCsv } from './csv.ts';
import type { ComputePool } from '../../compute-pool/pool.ts';
import { diagnosisOf } from './diagnosis.ts';
import { learnedFor } from './learned.ts';
import { recordTrial, requireTrial, searchTrials } from './service.ts';

/** Rows of one table; more than a shop welds in years. */
const tableRows = 50_000;

export const trialHandlers = (pool: ComputePool) =>
  ({
    diagnosis: ({ db, params, signal }) => diagnosisOf(db, pool, params.id, signal),
    trials: ({ db, query, page }) => searchTrials(db, query, page),
    trialsCsv: async ({ db, query }) => {
      const { items } = await searchTrials(db, query, { limit: tableRows, after: undefined });
      return csvAnswer('trials.csv', trialsCsv(items));
    },
    addTrial: ({ db, key, body, by, me }) => recordTrial(db, key, body, { ...by, role: me.role }),
    trial: ({ db, params }) => requireTrial(db, params.id),
    learned: ({ db, params, query }) => learnedFor(db, params.id, query),
  }) satisfies Pick<Handlers, 'trials' | 'trialsCsv' | 'addTrial' | 'trial' | 'learned' | 'diagnosis'>;
