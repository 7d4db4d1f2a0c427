/** Parts: what seams belong to. */
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { idOf, nameField } from '../fields.ts';
import { pageOf } from '../page.ts';

export const part = z.object({
  id: idOf('part'),
  name: z.string(),
  about: z.string(),
  version: z.int(),
  retired: z.boolean(),
});

const aboutField = z.string().trim().max(300);

export const partCreate = z.strictObject({ name: nameField, about: aboutField });

export const partSave = z.strictObject({ name: nameField, about: aboutField, retired: z.boolean() });

export type Part = z.infer<typeof part>;

export type PartCreate = z.infer<typeof partCreate>;

export type PartSave = z.infer<typeof partSave>;

export const partEndpoints = {
  parts: {
    method: 'GET',
    path: '/parts',
    summary: message('contract.parts'),
    act: 'parts',
    answer: pageOf(part),
    paged: true,
  },
  addPart: {
    method: 'POST',
    path: '/parts',
    summary: message('contract.adds-a-part'),
    act: 'addPart',
    body: partCreate,
    answer: part,
    status: 201,
    needs: 'key',
  },
  savePart: {
    method: 'PUT',
    path: '/parts/:id',
    summary: message('contract.endpoint.part-save'),
    act: 'savePart',
    body: partSave,
    answer: part,
    needs: 'version',
  },
} as const satisfies Endpoints;
