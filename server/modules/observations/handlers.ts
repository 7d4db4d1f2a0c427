import type { Handlers } from '../../http/endpoints.ts';
import { listObservations } from './repo.ts';
import { record } from './service.ts';

export const observationHandlers = {
  observations: ({ db, query, page }) => listObservations(db, query, page),
  observe: ({ db, key, body, by, me }) => record(db, key, body, by, me.role),
} satisfies Pick<Handlers, 'observations' | 'observe'>;
