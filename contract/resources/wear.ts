/** What wears on each gun: how much it was used since it was new, what it lasts here, and whether it is due. */
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { wearParts } from '@fox-tempo/core/machine/wear';
import { z } from 'zod';
import { closed, idOf, timestampField } from '../fields.ts';

const life = z.object({
  expected: z.number(),
  low: z.number(),
  high: z.number(),
  by: z.enum(['rule', 'mean', 'weibull']),
  n: z.int(),
});

export const wearRow = z.object({
  machineId: idOf('machine'),
  machineName: z.string(),
  feederId: idOf('feeder'),
  feederLabel: z.string(),
  part: closed(wearParts),
  /** In the part's own unit: minutes or kilograms. */
  used: z.number(),
  life,
  due: z.enum(['fine', 'soon', 'due']),
  /** Put in new; null: nobody noted one, everything recorded counts. */
  since: timestampField.nullable(),
  by: z.string().nullable(),
});

export const wear = z.object({ parts: z.array(wearRow) });
export type WearRow = z.infer<typeof wearRow>;

export const wearEndpoints = {
  wear: { method: 'GET', path: '/wear', summary: message('contract.endpoint.wear'), act: 'wear', answer: wear },
} as const satisfies Endpoints;
