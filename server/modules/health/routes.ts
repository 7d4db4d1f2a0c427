import { Router } from 'express';
import type { Executor } from '../../db/connection.ts';
import { countPeople } from './repo.ts';

/** Answers only when the database does, so that a start script can wait for it. */
export function healthRoutes(db: Executor): Router {
  const router = Router();
  router.get('/', async (_request, response) => {
    await countPeople(db);
    response.json({ status: 'ok' });
  });
  return router;
}
