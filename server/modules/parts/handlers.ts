import type { Handlers } from '../../http/endpoints.ts';
import { listParts } from './repo.ts';
import { addPart, savePart } from './service.ts';

export const partHandlers = {
  parts: ({ db, page }) => listParts(db, page),
  addPart: ({ db, body, me }) => addPart(db, body, me.id),
  savePart: ({ db, params, basedOn, body, me }) => savePart(db, params.id, basedOn, body, me.id),
} satisfies Pick<Handlers, 'parts' | 'addPart' | 'savePart'>;
