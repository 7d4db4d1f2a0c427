import { Router } from 'express';
import type { Executor } from '../../db/connection.ts';
import { pageRequest } from '../../http/paging.ts';
import { listOrders } from './repo.ts';

export function orderRoutes(db: Executor): Router {
  const router = Router();
  router.get('/', async (request, response) => {
    response.json(await listOrders(db, pageRequest(request)));
  });
  return router;
}
