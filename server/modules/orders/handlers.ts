import type { Handlers } from '../../http/endpoints.ts';
import { listOrders } from './repo.ts';
import { addOrder, countDone, saveOrder } from './service.ts';

export const orderHandlers = {
  orders: ({ db, page }) => listOrders(db, page),
  addOrder: ({ db, body, me }) => addOrder(db, body, me.id),
  saveOrder: ({ db, params, basedOn, body, me }) => saveOrder(db, params.id, basedOn, body, me.id),
  partsDone: ({ db, params, key, body, by, me }) => countDone(db, params.id, key, body, by, me.role),
} satisfies Pick<Handlers, 'orders' | 'addOrder' | 'saveOrder' | 'partsDone'>;
