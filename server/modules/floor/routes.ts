import { leadReadingCreate, parseWith, stepTimeCreate } from '@fox-tempo/contract';
import { Router, type Request } from 'express';
import type { Database } from '../../db/connection.ts';
import { authorOf, requireAuthor } from '../../http/author.ts';
import { orProblem } from '../../http/problem.ts';
import { requireMachine } from '../machines/service.ts';
import { insertLeadReading, insertStepTime, listLeadReadings, ownStepTimes } from './repo.ts';

/** What is measured at a machine: lead resistance and how long changeover steps take. Mounted under a machine. */
export function floorRoutes(db: Database): Router {
  const router = Router({ mergeParams: true });
  const author = requireAuthor(db);
  const machineOf = async (request: Request) => (await requireMachine(db, String(request.params['id']))).id;
  router.get('/lead-readings', async (request, response) => {
    response.json({ items: await listLeadReadings(db, await machineOf(request)), next: null });
  });
  router.post('/lead-readings', author, async (request, response) => {
    const reading = orProblem(parseWith(leadReadingCreate, request.body));
    const machineId = await machineOf(request);
    await insertLeadReading(db, { machineId, ...reading, by: authorOf(request) });
    response.status(201).json({ items: await listLeadReadings(db, machineId), next: null });
  });
  router.get('/step-times', async (request, response) => {
    response.json(await ownStepTimes(db, await machineOf(request)));
  });
  router.post('/step-times', author, async (request, response) => {
    const time = orProblem(parseWith(stepTimeCreate, request.body));
    const machineId = await machineOf(request);
    await insertStepTime(db, { machineId, ...time, by: authorOf(request) });
    response.status(201).json(await ownStepTimes(db, machineId));
  });
  return router;
}
