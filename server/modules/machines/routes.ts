import { directionSave, machineCreate, machineSave, parseWith, standingSave } from '@fox-tempo/contract';
import { Router } from 'express';
import type { Database } from '../../db/connection.ts';
import { authorOf, requireAuthor } from '../../http/author.ts';
import { orProblem } from '../../http/problem.ts';
import { basedOn, sendVersioned } from '../../http/version.ts';
import { listMachines } from './repo.ts';
import { createMachine, requireMachine, saveDirection, saveMachine, saveStanding } from './service.ts';

export function machineRoutes(db: Database): Router {
  const router = Router();
  const author = requireAuthor(db);
  router.get('/', async (_request, response) => {
    response.json({ items: await listMachines(db), next: null });
  });
  router.post('/', author, async (request, response) => {
    const { file } = orProblem(parseWith(machineCreate, request.body));
    const machine = await createMachine(db, file, authorOf(request));
    response.status(201).location(`/api/machines/${machine.id}`);
    sendVersioned(response, machine);
  });
  router.get('/:id', async (request, response) => {
    sendVersioned(response, await requireMachine(db, request.params.id));
  });
  router.put('/:id', author, async (request, response) => {
    const version = basedOn(request);
    const save = orProblem(parseWith(machineSave, request.body));
    sendVersioned(response, await saveMachine(db, String(request.params['id']), version, save, authorOf(request)));
  });
  router.put('/:id/standing', author, async (request, response) => {
    const version = basedOn(request);
    const standing = orProblem(parseWith(standingSave, request.body));
    sendVersioned(response, await saveStanding(db, String(request.params['id']), version, standing, authorOf(request)));
  });
  router.post('/:id/directions', author, async (request, response) => {
    const version = basedOn(request);
    const found = orProblem(parseWith(directionSave, request.body));
    sendVersioned(response, await saveDirection(db, String(request.params['id']), version, found, authorOf(request)));
  });
  return router;
}
