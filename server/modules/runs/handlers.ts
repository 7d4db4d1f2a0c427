import { runsCsv } from '@fox-tempo/contract';
import { message } from '@fox-tempo/words';
import { Raw, type Handlers } from '../../http/doors.ts';
import { HttpProblem } from '../../http/problem.ts';
import { listRuns } from './repo.ts';
import { decideRun, recordRun } from './service.ts';
import { deviceOf } from '../session/device.ts';

const uuid = /^[0-9a-f-]{36}$/i;
/** Rows of one table; more than a shop welds in years. */
const tableRows = 50_000;

export const runHandlers = {
  runs: ({ db, query, page }) => listRuns(db, query, page),
  runsCsv: async ({ db, query }) => {
    const { items } = await listRuns(db, query, { limit: tableRows, after: undefined });
    return new Raw((response) =>
      response
        .type('text/csv; charset=utf-8')
        .set('Content-Disposition', 'attachment; filename="runs.csv"')
        .send(`\uFEFF${runsCsv(items)}`),
    );
  },
  addRun: ({ db, key, body, by }) => recordRun(db, key, body, by),
  decideRun: ({ db, params, body, me, http }) => {
    if (!uuid.test(params.id))
      throw new HttpProblem('not-found', message('server.runs.error.no-run', { id: params.id }));
    return decideRun(db, params.id, body, me, deviceOf(http.request));
  },
} satisfies Partial<Handlers>;
