import type { Handlers } from '../../http/endpoints.ts';
import { listPeople } from './repo.ts';
import { addPerson, resetPin, savePerson } from './service.ts';

export const peopleHandlers = {
  people: ({ db, page, me }) => listPeople(db, page, me.role === 'owner'),
  addPerson: ({ db, body, me }) => addPerson(db, body, me),
  savePerson: ({ db, params, basedOn, body, me }) => savePerson(db, params.id, basedOn, body, me),
  resetPin: ({ db, params, basedOn, body, me }) => resetPin(db, params.id, basedOn, body.pin, me),
} satisfies Pick<Handlers, 'people' | 'addPerson' | 'savePerson' | 'resetPin'>;
