/** Attached files: pictures, sounds, traces. */
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';

export const blobNote = z.object({ sha256: z.string(), mediaType: z.string(), size: z.int() });

/** What may be attached: pictures, sounds, traces. */
export const blobTypes = ['image/jpeg', 'image/png', 'image/webp', 'audio/wav', 'text/csv'] as const;

export const blobLimitBytes = 12 * 1024 * 1024;

export const blobEndpoints = {
  addBlob: {
    method: 'POST',
    path: '/blobs',
    summary: message('contract.endpoint.attachment-add'),
    act: 'addBlob',
    answer: blobNote,
    status: 201,
    limitKb: 12 * 1024,
    takes: 'bytes',
    late: true,
  },
  blob: {
    method: 'GET',
    path: '/blobs/:sha256',
    summary: message('contract.a-kept-file'),
    act: 'blob',
    media: 'application/octet-stream',
  },
} as const satisfies Endpoints;
