import { Router } from 'express';
import type { Executor } from '../../db/connection.ts';
import { listPeople } from './repo.ts';

export function peopleRoutes(db: Executor): Router {
  const router = Router();
  router.get('/', async (_request, response) => {
    response.json({ items: await listPeople(db), next: null });
  });
  return router;
}
