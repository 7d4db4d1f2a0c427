import { message } from '@fox-tempo/words';
import type { Handlers } from '../../http/endpoints.ts';
import { HttpProblem } from '../../http/problem.ts';
import { requireMachine } from '../machines/index.ts';
import { currentEntries, slotHistory } from './repo.ts';
import { noteFound, storeInSlot } from './service.ts';

export const slotHandlers = {
  slots: async ({ db, params, page }) => currentEntries(db, (await requireMachine(db, params.id)).id, page),
  slotHistory: async ({ db, params, page }) =>
    slotHistory(db, (await requireMachine(db, params.id)).id, numberOf(params.slot), page),
  storeInSlot: ({ db, params, body, me }) => storeInSlot(db, params.id, numberOf(params.slot), body, me.id),
  noteFound: ({ db, params, key, body, by }) => noteFound(db, params.id, numberOf(params.slot), key, body, by),
} satisfies Partial<Handlers>;

function numberOf(slot: string): number {
  if (!/^\d{1,4}$/.test(slot))
    throw new HttpProblem('not-found', message('server.slots.error.slot-number', { slot: slot.slice(0, 40) }));
  return Number(slot);
}
