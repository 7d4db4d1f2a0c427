import { Router } from 'express';
import type { Executor } from '../../db/connection.ts';
import { HttpProblem } from '../../http/problem.ts';
import { sendVersioned } from '../../http/version.ts';
import { findMachine, listMachines } from './repo.ts';

export function machineRoutes(db: Executor): Router {
  const router = Router();
  router.get('/', async (_request, response) => {
    response.json({ items: await listMachines(db), next: null });
  });
  router.get('/:id', async (request, response) => {
    const machine = await findMachine(db, request.params.id);
    if (!machine) throw new HttpProblem('not-found', `There is no machine "${request.params.id}".`);
    sendVersioned(response, machine);
  });
  return router;
}
