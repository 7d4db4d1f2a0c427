import type { Handlers } from '../../http/endpoints.ts';
import { readShift } from './service.ts';

export const shiftHandlers = { shift: async ({ db }) => ({ slots: await readShift(db) }) } satisfies Partial<Handlers>;
