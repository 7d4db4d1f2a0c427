import { parseWith, seamCreate, seamSave } from '@fox-tempo/contract';
import { Router } from 'express';
import type { Database } from '../../db/connection.ts';
import { authorOf, requireAuthor } from '../../http/author.ts';
import { pageRequest } from '../../http/paging.ts';
import { orProblem } from '../../http/problem.ts';
import { basedOn, sendVersioned } from '../../http/version.ts';
import { listRevisions, listSeams } from './repo.ts';
import { createSeam, requireSeam, saveSeam } from './service.ts';

export function seamRoutes(db: Database): Router {
  const router = Router();
  const author = requireAuthor(db);
  router.get('/', async (request, response) => {
    response.json(await listSeams(db, pageRequest(request)));
  });
  router.post('/', author, async (request, response) => {
    const seam = await createSeam(db, orProblem(parseWith(seamCreate, request.body)), authorOf(request));
    response.status(201).location(`/api/seams/${seam.id}`);
    sendVersioned(response, seam);
  });
  router.get('/:id', async (request, response) => {
    sendVersioned(response, await requireSeam(db, request.params.id));
  });
  router.put('/:id', author, async (request, response) => {
    const version = basedOn(request);
    const save = orProblem(parseWith(seamSave, request.body));
    sendVersioned(response, await saveSeam(db, String(request.params['id']), version, save, authorOf(request)));
  });
  router.get('/:id/revisions', async (request, response) => {
    await requireSeam(db, request.params.id);
    response.json({ items: await listRevisions(db, request.params.id), next: null });
  });
  return router;
}
