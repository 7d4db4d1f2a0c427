/** Who works here. Only an owner makes, changes or re-keys an owner, and the last one who can sign in stays. */
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
    if (stored.version !== basedOn) throw staleVersion(stored, save, `${stored.name} was changed meanwhile.`);
    const staysOwner = save.role === 'owner' && !save.retired;
    if (!staysOwner && owners.length === 1 && owners[0] === id) {
      throw invalidInput([
        {
          path: 'role',
          code: 'last-owner',
          message: `${stored.name} is the last owner who can sign in; make another one first.`,
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
    if (stored.version !== basedOn) throw staleVersion(stored, {}, `${stored.name} was changed meanwhile.`);
    await updatePerson(tx, id, { pinHash });
    await endSessionsOf(tx, id);
    return requirePerson(tx, id);
  });
}

function refuseOwnersBusiness(me: SignedIn, ...touched: readonly Role[]): void {
  if (touched.includes('owner') && me.role !== 'owner')
    throw new HttpProblem('not-allowed', `An owner is made and changed by an owner; you are signed in as ${me.name}.`);
}

async function requirePerson(db: Executor, id: string): Promise<Person> {
  const found = await findPerson(db, id);
  if (!found) throw nobody(id);
  return found;
}

function nobody(id: string): HttpProblem {
  return new HttpProblem('not-found', `There is nobody "${id}" here.`);
}
