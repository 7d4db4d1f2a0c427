import { cylinderSave, parseWith, spoolSave } from '@fox-tempo/contract';
import { Router } from 'express';
import type { Database } from '../../db/connection.ts';
import { authorOf, requireAuthor } from '../../http/author.ts';
import { orProblem } from '../../http/problem.ts';
import { basedOn, sendVersioned } from '../../http/version.ts';
import { addCylinder, addSpool, readStock, saveCylinder, saveSpool } from './service.ts';

export function stockRoutes(db: Database): Router {
  const router = Router();
  const author = requireAuthor(db);
  router.get('/', async (_request, response) => {
    response.json(await readStock(db));
  });
  router.post('/cylinders', author, async (request, response) => {
    const save = orProblem(parseWith(cylinderSave, request.body));
    response.status(201);
    sendVersioned(response, await addCylinder(db, save, authorOf(request)));
  });
  router.put('/cylinders/:id', author, async (request, response) => {
    const version = basedOn(request);
    const save = orProblem(parseWith(cylinderSave, request.body));
    sendVersioned(response, await saveCylinder(db, String(request.params['id']), version, save, authorOf(request)));
  });
  router.post('/spools', author, async (request, response) => {
    const save = orProblem(parseWith(spoolSave, request.body));
    response.status(201);
    sendVersioned(response, await addSpool(db, save, authorOf(request)));
  });
  router.put('/spools/:id', author, async (request, response) => {
    const version = basedOn(request);
    const save = orProblem(parseWith(spoolSave, request.body));
    sendVersioned(response, await saveSpool(db, String(request.params['id']), version, save, authorOf(request)));
  });
  return router;
}
