import type { Handlers } from '../../http/endpoints.ts';
import { listMachines } from './repo.ts';
import { createMachine, requireMachine, saveDirection, saveMachine, saveStanding } from './service.ts';

export const machineHandlers = {
  machines: ({ db, page }) => listMachines(db, page),
  addMachine: ({ db, body, me }) => createMachine(db, body.file, me.id),
  machine: ({ db, params }) => requireMachine(db, params.id),
  saveMachine: ({ db, params, basedOn, body, me }) => saveMachine(db, params.id, basedOn, body, me.id),
  saveStanding: ({ db, params, basedOn, key, body, by }) => saveStanding(db, params.id, basedOn, body, key, by),
  saveDirection: ({ db, params, basedOn, body, me }) => saveDirection(db, params.id, basedOn, body, me.id),
} satisfies Partial<Handlers>;
