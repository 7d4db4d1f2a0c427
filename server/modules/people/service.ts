/** Who works here. Only an owner makes, changes or re-keys an owner, and the last one who can sign in stays. */
import { phrase } from '@fox-tempo/words';
import { randomUUID } from 'node:crypto';
import type { Person, PersonCreate, PersonSave, Role } from '@fox-tempo/contract';
import type { Database, Executor } from '../../db/connection.ts';
import { HttpProblem, invalidInput } from '../../http/problem.ts';
import { staleVersion } from '../../http/version.ts';
import { hashPin } from '../session/pin.ts';
import { endSessionsOf } from '../session/repo.ts';
import type { SignedIn } from '../session/who.ts';
import { findPerson, insertPerson, lockOwners, lockPerson, updatePerson } from './repo.ts';

export async function addPerson(db: Database, { name, role, pin }: PersonCreate, me: SignedIn): Promise<Person> {
  refuseOwnersBusiness(me, role);
  const id = `person-${randomUUID().slice(0, 8)}`;
  await insertPerson(db, { id, name, role, pinHash: await hashPin(pin) });
  return requirePerson(db, id);
}

export function savePerson(db: Database, id: string, basedOn: number, save: PersonSave, me: SignedIn): Promise<Person> {
  return db.transaction(async (tx) => {
    const owners = await lockOwners(tx);
    const stored = await lockPerson(tx, id);
    if (!stored) throw nobody(id);
    refuseOwnersBusiness(me, stored.role, save.role);
    if (stored.version !== basedOn)
      throw staleVersion(stored, save, phrase('server.parts.was-changed-meanwhile', { now: stored.name }));
    const staysOwner = save.role === 'owner' && !save.retired;
    if (!staysOwner && owners.length === 1 && owners[0] === id) {
      throw invalidInput([
        {
          path: 'role',
          code: 'last-owner',
          message: phrase('server.people.is-the-last-owner-who', { stored: stored.name }),
          got: save.role,
        },
      ]);
    }
    await updatePerson(tx, id, save);
    if (save.retired || save.role !== stored.role) await endSessionsOf(tx, id);
    return requirePerson(tx, id);
  });
}

export async function resetPin(db: Database, id: string, basedOn: number, pin: string, me: SignedIn): Promise<Person> {
  const pinHash = await hashPin(pin);
  return db.transaction(async (tx) => {
    const stored = await lockPerson(tx, id);
    if (!stored) throw nobody(id);
    refuseOwnersBusiness(me, stored.role);
    if (stored.version !== basedOn)
      throw staleVersion(stored, {}, phrase('server.parts.was-changed-meanwhile', { now: stored.name }));
    await updatePerson(tx, id, { pinHash });
    await endSessionsOf(tx, id);
    return requirePerson(tx, id);
  });
}

function refuseOwnersBusiness(me: SignedIn, ...touched: readonly Role[]): void {
  if (touched.includes('owner') && me.role !== 'owner')
    throw new HttpProblem('not-allowed', phrase('server.people.an-owner-is-made-and', { me: me.name }));
}

async function requirePerson(db: Executor, id: string): Promise<Person> {
  const found = await findPerson(db, id);
  if (!found) throw nobody(id);
  return found;
}

function nobody(id: string): HttpProblem {
  return new HttpProblem('not-found', phrase('server.people.there-is-nobody-here', { id }));
}
