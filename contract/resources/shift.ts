/** What a shift begins with: memory slots as they were read against what was stored, and who was at the machine in between. */
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { slotStates } from '@fox-tempo/core/machine/dials';
import { z } from 'zod';
import { closed, idField, idOf, timestampField } from '../fields.ts';
import { dialReadings } from './observations.ts';

export const shiftSlot = z.object({
  machineId: idOf('machine'),
  machineName: z.string(),
  slot: z.int(),
  entryId: z.int(),
  seamId: idOf('seam'),
  seamName: z.string(),
  revision: z.int(),
  /** Revision issued on this machine; null: none. */
  issued: z.int().nullable(),
  state: closed(slotStates),
  /** Whether the machine was last entered as standing on this slot. */
  isCalled: z.boolean(),
  dials: dialReadings,
  storedBy: z.string(),
  storedAt: timestampField,
  found: z.object({ dials: dialReadings, foundBy: z.string(), foundAt: timestampField }).nullable(),
  /** Dials that were found otherwise. */
  drifted: z.array(idField),
  /** Who was last at the machine between storing and finding, and doing what; null where nothing is recorded. */
  lastBefore: z.object({ by: z.string(), at: timestampField, kind: z.string() }).nullable(),
});

export const shift = z.object({ slots: z.array(shiftSlot) });
export type ShiftSlot = z.infer<typeof shiftSlot>;

export const shiftEndpoints = {
  shift: { method: 'GET', path: '/shift', summary: message('contract.endpoint.shift'), act: 'shift', answer: shift },
} as const satisfies Endpoints;
