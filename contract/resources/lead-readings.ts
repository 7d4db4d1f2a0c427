/** Resistance of the welding leads, as measured. */
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { ranged, timestampField } from '../fields.ts';
import { recordedKinds } from './observations.ts';
import { pageOf } from '../page.ts';

export const leadReading = z.object({
  id: z.string(),
  mOhm: ranged('circuitMOhm'),
  note: z.string(),
  at: timestampField,
  by: z.string(),
});

export const leadReadingCreate = recordedKinds['lead-reading'];

export type LeadReadingRow = z.infer<typeof leadReading>;

export const leadReadingEndpoints = {
  leadReadings: {
    method: 'GET',
    path: '/machines/:id/lead-readings',
    summary: message('contract.endpoint.lead-reading'),
    act: 'leadReadings',
    answer: pageOf(leadReading),
    paged: true,
  },
  addLeadReading: {
    method: 'POST',
    path: '/machines/:id/lead-readings',
    summary: message('contract.logs-a-reading'),
    act: 'addLeadReading',
    body: leadReadingCreate,
    answer: leadReading,
    status: 201,
    needs: 'key',
    late: true,
  },
} as const satisfies Endpoints;
