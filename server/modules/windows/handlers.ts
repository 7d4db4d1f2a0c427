import type { ComputePool } from '../../compute-pool/pool.ts';
import type { Handlers } from '../../http/endpoints.ts';
import { saveWindow } from './service.ts';

export function windowHandlers(pool: ComputePool): Pick<Handlers, 'saveWindow'> {
  return {
    saveWindow: ({ db, params, basedOn, body, me, signal }) =>
      saveWindow(db, pool, params.id, basedOn, body, me.id, signal),
  };
}
