/** What answers at every endpoint, module by module. */
import type { Keeper } from '../backup/keeper.ts';
import type { ComputePool } from '../compute-pool/pool.ts';
import type { Connection } from '../db/connection.ts';
import type { Tickets } from './session/index.ts';
import type { Handlers } from '../http/endpoints.ts';
import type { Metrics } from '../http/metrics.ts';
import { blobHandlers } from './blobs/handlers.ts';
import { cardHandlers } from './cards/handlers.ts';
import { computeHandlers } from './compute/handlers.ts';
import { descriptionHandlers } from './description/handlers.ts';
import { floorHandlers } from './floor/handlers.ts';
import { jobHandlers } from './jobs/handlers.ts';
import { machineHandlers } from './machines/handlers.ts';
import { observationHandlers } from './observations/handlers.ts';
import { orderHandlers } from './orders/handlers.ts';
import { paperHandlers } from './papers/handlers.ts';
import { partHandlers } from './parts/handlers.ts';
import { peopleHandlers } from './people/handlers.ts';
import { runHandlers } from './runs/handlers.ts';
import { seamHandlers } from './seams/handlers.ts';
import { sessionHandlers } from './session/handlers.ts';
import { shiftHandlers } from './shift/handlers.ts';
import { shopHandlers } from './shop/handlers.ts';
import { slotHandlers } from './slots/handlers.ts';
import { standInHandlers } from './stand-ins/handlers.ts';
import { stockHandlers } from './stock/handlers.ts';
import { trialHandlers } from './trials/handlers.ts';
import { wearHandlers } from './wear/handlers.ts';
import { windowHandlers } from './windows/handlers.ts';
import { wordHandlers } from './words/handlers.ts';
import type { JobQueue } from './jobs/index.ts';

/** What the modules stand on. */
export interface Foundations {
  readonly connection: Connection;
  readonly metrics: Metrics;
  readonly pool: ComputePool;
  readonly queue: JobQueue;
  readonly keeper: Keeper;
  readonly tickets: Tickets;
}

export function allHandlers({ connection, metrics, pool, queue, keeper, tickets }: Foundations): Handlers {
  return {
    ...descriptionHandlers(connection, metrics, pool),
    ...sessionHandlers(tickets),
    ...shopHandlers(keeper),
    ...peopleHandlers,
    ...partHandlers,
    ...orderHandlers,
    ...seamHandlers,
    ...cardHandlers(pool),
    ...paperHandlers(pool),
    ...wearHandlers,
    ...machineHandlers,
    ...slotHandlers,
    ...floorHandlers,
    ...stockHandlers,
    ...trialHandlers(pool),
    ...runHandlers,
    ...shiftHandlers,
    ...standInHandlers,
    ...windowHandlers(pool),
    ...wordHandlers,
    ...observationHandlers,
    ...blobHandlers,
    ...computeHandlers(pool),
    ...jobHandlers(queue),
  };
}
