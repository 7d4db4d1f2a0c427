/** Memory slots of a machine, with their history. */
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { idOf, timestampField } from '../fields.ts';
import { programFile } from '../files/program.ts';
import { dialReadings } from './observations.ts';
import { pageOf } from '../page.ts';

/** One storing into a slot; never changed, never removed. */
export const slotEntry = z.object({
  id: z.int(),
  slot: z.int(),
  seamId: idOf('seam'),
  seamName: z.string(),
  partName: z.string(),
  /** Revision of the seam's program. */
  revision: z.int(),
  program: programFile,
  /** Dials as they are meant to stand. */
  dials: dialReadings,
  note: z.string(),
  storedAt: timestampField,
  storedBy: z.string(),
  /** Dials as somebody last found them, apart from what is meant. */
  found: z.object({ dials: dialReadings, foundAt: timestampField, foundBy: z.string() }).nullable(),
});

export const slotStore = z.strictObject({
  seamId: idOf('seam'),
  note: z.string().trim().max(300),
  /** The entry seen in the slot, which this one replaces; null when it was seen empty. */
  replaces: z.int().nullable(),
});

/** `entryId` is the entry that was seen in the slot: what was found is noted beside that one, or refused. */
export const slotFound = z.strictObject({
  entryId: z.int(),
  dials: dialReadings,
  /** They were turned back to what was stored, not found so. */
  putBack: z.boolean().optional(),
});

export type SlotEntry = z.infer<typeof slotEntry>;

export type SlotFound = z.infer<typeof slotFound>;

export type SlotStore = z.infer<typeof slotStore>;

export const slotEndpoints = {
  slots: {
    method: 'GET',
    path: '/machines/:id/slots',
    summary: message('contract.endpoint.slots'),
    act: 'slots',
    answer: pageOf(slotEntry),
    paged: true,
  },
  slotHistory: {
    method: 'GET',
    path: '/machines/:id/slots/:slot',
    summary: message('contract.endpoint.slot-history'),
    act: 'slotHistory',
    answer: pageOf(slotEntry),
    paged: true,
  },
  storeInSlot: {
    method: 'POST',
    path: '/machines/:id/slots/:slot',
    summary: message('contract.endpoint.slot-store'),
    act: 'storeInSlot',
    body: slotStore,
    answer: slotEntry,
    status: 201,
    needs: 'key',
  },
  noteFound: {
    method: 'POST',
    path: '/machines/:id/slots/:slot/found',
    summary: message('contract.endpoint.dials-found'),
    act: 'noteFound',
    body: slotFound,
    answer: slotEntry,
    needs: 'key',
    late: true,
  },
} as const satisfies Endpoints;
