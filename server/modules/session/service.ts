/** Signing in and out, and making the first owner. A try is counted before the PIN is looked at, so that many at once gain nothing. */
import { amount } from '@fox-tempo/core/said';
import { phrase } from '@fox-tempo/words';
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { LeadPin, Role, SessionState } from '@fox-tempo/contract';
import type { Request } from 'express';
import type { Database, Executor } from '../../db/connection.ts';
import { HttpProblem } from '../../http/problem.ts';
import { readShop } from '../shop/repo.ts';
import { hashPin, pinFits, waitAfter } from './pin.ts';
import {
  countTry,
  countWrongCode,
  findHere,
  forgetTries,
  hasOwner,
  insertOwner,
  lockOwnerCode,
  peopleHere,
  preferencesOf,
  setOwnerCode,
  waitLeftS,
} from './repo.ts';
import { personOf } from './who.ts';

export async function sessionState(db: Executor, request: Request): Promise<SessionState> {
  const { name, timeZone, thicknessRule, demo } = await readShop(db);
  const me = await personOf(db, request);
  return {
    me: me && { ...me, preferences: await preferencesOf(db, me.id) },
    shop: { name, timeZone, demo, thicknessRule },
    needsOwner: !(await hasOwner(db)),
    people: await peopleHere(db),
  };
}

export async function signIn(db: Executor, request: Request, personId: string, pin: string): Promise<void> {
  await tryPin(db, personId, pin);
  await begin(request, personId);
}

/** Somebody's name and PIN given on another one's session; wrong tries count as at signing in. */
export async function confirmPin(
  db: Executor,
  { personId, pin }: LeadPin,
  allowed: readonly Role[],
): Promise<{ readonly id: string; readonly role: Role }> {
  const person = await findHere(db, personId);
  if (!person) throw new HttpProblem('not-found', phrase('server.session.there-is-nobody-here', { personId }));
  if (!allowed.includes(person.role))
    throw new HttpProblem('not-allowed', phrase('server.session.a-lead-hands-pin-is-asked'));
  await tryPin(db, personId, pin);
  return person;
}

async function tryPin(db: Executor, personId: string, pin: string): Promise<void> {
  const counted = await countTry(db, personId);
  if (!counted) {
    const leftS = await waitLeftS(db, personId);
    throw leftS > 0 ? tooSoon(leftS) : wrongPin();
  }
  if (counted.pinHash === null || !(await pinFits(counted.pinHash, pin))) throw wrongPin(waitAfter(counted.tries));
  await forgetTries(db, personId);
}

/** In as anybody, on the demo shop alone. */
export async function demoSignIn(db: Executor, request: Request, personId: string): Promise<void> {
  const { demo } = await readShop(db);
  if (!demo) throw new HttpProblem('not-allowed', phrase('server.session.only-the-demo-shop-lets'));
  if (!(await findHere(db, personId)))
    throw new HttpProblem('not-found', phrase('server.session.there-is-nobody-here', { personId }));
  await begin(request, personId);
}

/** The first owner, by the one-time code that the start printed. */
export async function makeOwner(
  db: Database,
  request: Request,
  { code, name, pin }: { code: string; name: string; pin: string },
): Promise<void> {
  const personId = `person-${randomUUID().slice(0, 8)}`;
  const pinHash = await hashPin(pin);
  const outcome = await db.transaction(async (tx) => {
    const kept = await lockOwnerCode(tx);
    if (!kept?.hash || (await hasOwner(tx))) return 'has-owner' as const;
    const waitMs = kept.waitUntil === null ? 0 : Date.parse(kept.waitUntil) - Date.now();
    if (waitMs > 0) return Math.ceil(waitMs / 1000);
    if (kept.hash !== hashCode(code)) {
      await countWrongCode(tx, kept.failures + 1, waitAfter(kept.failures + 1));
      return 'wrong' as const;
    }
    await insertOwner(tx, { id: personId, name, pinHash });
    return 'made' as const;
  });
  if (outcome === 'has-owner') throw new HttpProblem('not-allowed', phrase('server.session.this-shop-has-an-owner'));
  if (outcome === 'wrong') throw new HttpProblem('wrong-pin', phrase('server.session.that-is-not-the-code'));
  if (typeof outcome === 'number') throw tooSoon(outcome);
  await begin(request, personId);
}

/** A new one-time code where nobody could sign in as owner, in letters that are not mistaken for one another; its hash is kept. */
export async function renewOwnerCode(db: Database): Promise<string | undefined> {
  return db.transaction(async (tx) => {
    await lockOwnerCode(tx);
    if (await hasOwner(tx)) return undefined;
    const letters = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
    const code = [...randomBytes(12)]
      .map((byte) => letters[byte % letters.length] ?? '')
      .join('')
      .replace(/(.{4})(?=.)/g, '$1-');
    await setOwnerCode(tx, hashCode(code));
    return code;
  });
}

/** The code has 60 bits of chance; a plain hash of it gives nothing away. */
function hashCode(code: string): string {
  return createHash('sha256').update(code.trim().toUpperCase()).digest('hex');
}

/** A fresh session id at each sign-in: one that somebody planted before is worth nothing. */
function begin(request: Request, personId: string): Promise<void> {
  return new Promise((resolve, reject) => {
    request.session.regenerate((error: unknown) => {
      if (error) {
        reject(asError(error));
        return;
      }
      request.session.personId = personId;
      request.session.save((failed: unknown) => {
        if (failed) reject(asError(failed));
        else resolve();
      });
    });
  });
}

export function signOut(request: Request): Promise<void> {
  return new Promise((resolve, reject) => {
    request.session.regenerate((error: unknown) => {
      if (error) reject(asError(error));
      else resolve();
    });
  });
}

function asError(value: unknown): Error {
  return value instanceof Error ? value : new Error(String(value));
}

function wrongPin(waitS = 0): HttpProblem {
  return new HttpProblem(
    'wrong-pin',
    waitS > 0
      ? phrase('server.session.that-pin-does-not-fit', { wait: amount('phaseTime', waitS) })
      : phrase('server.session.that-pin-does-not-fit-2'),
    waitS > 0 ? { waitS } : {},
  );
}

function tooSoon(waitS: number): HttpProblem {
  return new HttpProblem(
    'too-many',
    phrase('server.session.too-many-wrong-tries-the', { wait: amount('phaseTime', waitS) }),
    { waitS },
  );
}
