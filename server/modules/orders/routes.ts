import { parseWith, partsDone } from '@fox-tempo/contract';
import { Router } from 'express';
import type { Database } from '../../db/connection.ts';
import { authorOf, requireAuthor } from '../../http/author.ts';
import { pageRequest } from '../../http/paging.ts';
import { orProblem } from '../../http/problem.ts';
import { listOrders } from './repo.ts';
import { countDone } from './service.ts';

export function orderRoutes(db: Database): Router {
  const router = Router();
  router.get('/', async (request, response) => {
    response.json(await listOrders(db, pageRequest(request)));
  });
  router.post('/:id/done', requireAuthor(db), async (request, response) => {
    const { count } = orProblem(parseWith(partsDone, request.body));
    response.json(await countDone(db, String(request.params['id']), count, authorOf(request)));
  });
  return router;
}
