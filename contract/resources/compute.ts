/** Computations by their verb. */
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';

export const computeEndpoints = {
  compute: {
    method: 'POST',
    path: '/compute/:verb',
    summary: message('contract.endpoint.compute'),
    act: 'compute',
    body: z.unknown(),
  },
} as const satisfies Endpoints;
