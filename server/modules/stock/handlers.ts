import type { Handlers } from '../../http/endpoints.ts';
import { addCylinder, addSpool, readStock, saveCylinder, saveSpool } from './service.ts';

export const stockHandlers = {
  stock: ({ db }) => readStock(db),
  addCylinder: ({ db, key, body, by }) => addCylinder(db, body, by, { key }),
  saveCylinder: ({ db, params, basedOn, key, body, by }) => saveCylinder(db, params.id, basedOn, body, key, by),
  addSpool: ({ db, key, body, by }) => addSpool(db, body, by, { key }),
  saveSpool: ({ db, params, basedOn, key, body, by }) => saveSpool(db, params.id, basedOn, body, key, by),
} satisfies Pick<Handlers, 'stock' | 'addCylinder' | 'saveCylinder' | 'addSpool' | 'saveSpool'>;
