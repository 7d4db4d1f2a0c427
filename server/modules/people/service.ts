/** Who works here. Nobody gives a role or resets a PIN above their own, and the last one who can sign in stays. */
import { message } from '@fox-tempo/words';
import { randomUUID } from 'node:crypto';
import {
  mayGiveRole,
  mayKeepPerson,
  roleNames,
  type Person,
  type PersonCreate,
  type PersonSave,
  type Role,
} from '@fox-tempo/contract';
import type { Database, Executor } from '../../db/connection.ts';
import { HttpProblem, invalidInput } from '../../http/problem.ts';
import { staleVersion } from '../../http/version.ts';
import { hashPin, endSessionsOf, forgetAllTries, type SignedIn } from '../session/index.ts';
import { findPerson, insertPerson, lockOwners, lockPerson, updatePerson } from './repo.ts';

export async function addPerson(db: Database, { name, role, pin }: PersonCreate, me: SignedIn): Promise<Person> {
  refuseRole(me, role);
  const id = `person-${randomUUID().slice(0, 8)}`;
  await insertPerson(db, { id, name, role, pinHash: await hashPin(pin) });
  return requirePerson(db, id);
}

export function savePerson(db: Database, id: string, basedOn: number, save: PersonSave, me: SignedIn): Promise<Person> {
  return db.transaction(async (tx) => {
    const owners = await lockOwners(tx);
    const stored = await lockPerson(tx, id);
    if (!stored) throw nobody(id);
    refusePerson(me, stored);
    if (save.role !== stored.role) refuseRole(me, save.role);
    if (stored.version !== basedOn)
      throw staleVersion(stored, save, message('server.parts.was-changed-meanwhile', { now: stored.name }));
    const staysOwner = save.role === 'owner' && !save.retired;
    if (!staysOwner && owners.length === 1 && owners[0] === id) {
      throw invalidInput([
        {
          path: 'role',
          code: 'last-owner',
          message: message('server.people.error.last-owner', { stored: stored.name }),
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
    refusePerson(me, stored);
    if (stored.version !== basedOn)
      throw staleVersion(stored, {}, message('server.parts.was-changed-meanwhile', { now: stored.name }));
    await updatePerson(tx, id, { pinHash });
    await forgetAllTries(tx, id);
    await endSessionsOf(tx, id);
    return requirePerson(tx, id);
  });
}

/** Nobody makes somebody what they may not be asked to make. */
function refuseRole(me: SignedIn, role: Role): void {
  if (!mayGiveRole(me.role, role))
    throw new HttpProblem(
      'not-allowed',
      message('server.people.error.cannot-give-role', { me: me.name, role: roleNames[role] }),
    );
}

function refusePerson(me: SignedIn, stored: Person): void {
  if (!mayKeepPerson(me.role, stored.role))
    throw new HttpProblem(
      'not-allowed',
      message('server.people.error.above-you', { name: stored.name, role: roleNames[stored.role] }),
    );
}

async function requirePerson(db: Executor, id: string): Promise<Person> {
  const found = await findPerson(db, id);
  if (!found) throw nobody(id);
  return found;
}

function nobody(id: string): HttpProblem {
  return new HttpProblem('not-found', message('server.people.error.no-person', { id }));
}
