/** What is measured at a machine: lead resistance and how long changeover steps take. */
import type { Handlers } from '../../http/endpoints.ts';
import { requireMachine } from '../machines/index.ts';
import { addObservation } from '../observations/index.ts';
import { leadReadings, ownStepTimes } from './repo.ts';

export const floorHandlers = {
  leadReadings: async ({ db, params, page }) => leadReadings(db, (await requireMachine(db, params.id)).id, page),
  addLeadReading: async ({ db, params, key, body, by, me }) => {
    const { id: machineId } = await requireMachine(db, params.id);
    await addObservation(db, { id: key, kind: 'lead-reading', by, machineId, body });
    return { id: key, ...body, at: by.deviceAt ?? new Date().toISOString(), by: me.name };
  },
  stepTimes: async ({ db, params }) => ownStepTimes(db, (await requireMachine(db, params.id)).id),
  addStepTime: async ({ db, params, key, body, by }) => {
    const { id: machineId } = await requireMachine(db, params.id);
    await addObservation(db, { id: key, kind: 'step-time', by, machineId, body });
    return ownStepTimes(db, machineId);
  },
} satisfies Partial<Handlers>;
