import { Router } from 'express';
import type { Executor } from '../../db/connection.ts';
import { listParts } from './repo.ts';

export function partRoutes(db: Executor): Router {
  const router = Router();
  router.get('/', async (_request, response) => {
    response.json({ items: await listParts(db), next: null });
  });
  return router;
}
