import { message } from '@fox-tempo/words';
import { csvAnswer } from '../../http/csv-answer.ts';
import type { Handlers } from '../../http/endpoints.ts';
import { runsCsv } from './csv.ts';
import { HttpProblem } from '../../http/problem.ts';
import { listRuns } from './repo.ts';
import { decideRun, recordRun } from './service.ts';
import { deviceOf } from '../session/index.ts';

const uuid = /^[0-9a-f-]{36}$/i;
/** Rows of one table; more than a shop welds in years. */
const tableRows = 50_000;

export const runHandlers = {
  runs: ({ db, query, page }) => listRuns(db, query, page),
  runsCsv: async ({ db, query }) => {
    const { items } = await listRuns(db, query, { limit: tableRows, after: undefined });
    return csvAnswer('runs.csv', runsCsv(items));
  },
  addRun: ({ db, key, body, by }) => recordRun(db, key, body, by),
  decideRun: ({ db, params, body, me, http }) => {
    if (!uuid.test(params.id))
      throw new HttpProblem('not-found', message('server.runs.error.no-run', { id: params.id }));
    return decideRun(db, params.id, body, me, deviceOf(http.request));
  },
} satisfies Partial<Handlers>;
