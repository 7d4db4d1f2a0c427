/** What is measured at a machine: lead resistance and how long changeover steps take. */
import type { Handlers } from '../../http/doors.ts';
import { requireMachine } from '../machines/service.ts';
import { addObservation } from '../observations/repo.ts';
import { leadReadings, ownStepTimes } from './repo.ts';

export const floorHandlers = {
  leadReadings: async ({ db, params, page }) => leadReadings(db, (await requireMachine(db, params.id)).id, page),
  addLeadReading: async ({ db, params, key, body, me }) => {
    const { id: machineId } = await requireMachine(db, params.id);
    await addObservation(db, { id: key, kind: 'lead-reading', recordedBy: me.id, machineId, body });
    return { id: key, ...body, at: new Date().toISOString(), by: me.name };
  },
  stepTimes: async ({ db, params }) => ownStepTimes(db, (await requireMachine(db, params.id)).id),
  addStepTime: async ({ db, params, key, body, me }) => {
    const { id: machineId } = await requireMachine(db, params.id);
    await addObservation(db, { id: key, kind: 'step-time', recordedBy: me.id, machineId, body });
    return ownStepTimes(db, machineId);
  },
} satisfies Partial<Handlers>;
