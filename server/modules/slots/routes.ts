import { parseWith, slotFound, slotStore } from '@fox-tempo/contract';
import { Router, type Request } from 'express';
import type { Database } from '../../db/connection.ts';
import { authorOf, requireAuthor } from '../../http/author.ts';
import { HttpProblem, orProblem } from '../../http/problem.ts';
import { requireMachine } from '../machines/service.ts';
import { slotHistory } from './repo.ts';
import { noteFound, slotMap, storeInSlot } from './service.ts';

/** Mounted under a machine. */
export function slotRoutes(db: Database): Router {
  const router = Router({ mergeParams: true });
  const author = requireAuthor(db);
  router.get('/', async (request, response) => {
    response.json({ items: await slotMap(db, machineOf(request)), next: null });
  });
  router.get('/:slot', async (request, response) => {
    await requireMachine(db, machineOf(request));
    response.json({ items: await slotHistory(db, machineOf(request), slotOf(request)), next: null });
  });
  router.post('/:slot', author, async (request, response) => {
    const store = orProblem(parseWith(slotStore, request.body));
    response.status(201).json(await storeInSlot(db, machineOf(request), slotOf(request), store, authorOf(request)));
  });
  router.post('/:slot/found', author, async (request, response) => {
    const { dials } = orProblem(parseWith(slotFound, request.body));
    response.json(await noteFound(db, machineOf(request), slotOf(request), dials, authorOf(request)));
  });
  return router;
}

function machineOf(request: Request): string {
  return String(request.params['id']);
}

function slotOf(request: Request): number {
  const text = String(request.params['slot']);
  if (!/^\d{1,4}$/.test(text)) throw new HttpProblem('not-found', `"${text}" is no slot number.`);
  return Number(text);
}
