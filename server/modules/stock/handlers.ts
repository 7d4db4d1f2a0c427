import type { Handlers } from '../../http/doors.ts';
import { addCylinder, addSpool, readStock, saveCylinder, saveSpool } from './service.ts';

export const stockHandlers = {
  stock: ({ db }) => readStock(db),
  addCylinder: ({ db, key, body, me }) => addCylinder(db, body, me.id, { key }),
  saveCylinder: ({ db, params, basedOn, body, me }) => saveCylinder(db, params.id, basedOn, body, me.id),
  addSpool: ({ db, key, body, me }) => addSpool(db, body, me.id, { key }),
  saveSpool: ({ db, params, basedOn, body, me }) => saveSpool(db, params.id, basedOn, body, me.id),
} satisfies Pick<Handlers, 'stock' | 'addCylinder' | 'saveCylinder' | 'addSpool' | 'saveSpool'>;
