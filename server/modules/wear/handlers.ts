import type { Handlers } from '../../http/endpoints.ts';
import { readWear } from './service.ts';

export const wearHandlers = { wear: async ({ db }) => ({ parts: await readWear(db) }) } satisfies Pick<
  Handlers,
  'wear'
>;
