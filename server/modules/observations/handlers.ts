import type { Handlers } from '../../http/doors.ts';
import { listObservations } from './repo.ts';
import { record } from './service.ts';

export const observationHandlers = {
  observations: ({ db, query, page }) => listObservations(db, query, page),
  observe: ({ db, key, body, me }) => record(db, key, body, me.id),
} satisfies Pick<Handlers, 'observations' | 'observe'>;
