/** Whole shops and seams, out and in as files. */
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { idOf } from '../fields.ts';
import { phraseField } from '../problem.ts';
import { bundle } from '../files/shop.ts';

/** `write: false` only says what would come in. Several files at once are taken together or not at all. */
export const bundleImport = z.strictObject({ file: z.unknown(), partId: idOf('part').nullable(), write: z.boolean() });

export const importReport = z.object({
  written: z.boolean(),
  rows: z.array(
    z.object({
      kind: z.enum(['part', 'seam', 'machine']),
      name: z.string(),
      /** What happens with it, or why it cannot come in. */
      does: z.enum(['added', 'there already', 'refused']),
      why: phraseField.nullable(),
    }),
  ),
});

export type ImportReport = z.infer<typeof importReport>;

export const bundleEndpoints = {
  exportShop: {
    method: 'GET',
    path: '/shop/bundle',
    summary: message('contract.endpoint.export'),
    act: 'exportShop',
    answer: bundle,
  },
  importBundle: {
    method: 'POST',
    path: '/shop/bundle',
    summary: message('contract.endpoint.import'),
    act: 'importBundle',
    body: bundleImport,
    answer: importReport,
    needs: 'key',
    limitKb: 8192,
  },
} as const satisfies Endpoints;
