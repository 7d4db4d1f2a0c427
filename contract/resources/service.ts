/** What the server says of itself. */
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';

export const serviceEndpoints = {
  health: {
    method: 'GET',
    path: '/health',
    summary: message('contract.endpoint.live'),
    act: 'anyone',
    answer: z.object({ status: z.literal('ok') }),
  },
  ready: {
    method: 'GET',
    path: '/ready',
    summary: message('contract.endpoint.ready'),
    act: 'anyone',
    answer: z.object({ status: z.literal('ok') }),
  },
  metrics: {
    method: 'GET',
    path: '/metrics',
    summary: message('contract.endpoint.metrics'),
    act: 'anyone',
    media: 'text/plain',
  },
  openapi: { method: 'GET', path: '/openapi.json', summary: message('contract.this-description'), act: 'anyone' },
  docs: {
    method: 'GET',
    path: '/docs',
    summary: message('contract.endpoint.openapi'),
    act: 'anyone',
    media: 'text/html',
  },
} as const satisfies Endpoints;
