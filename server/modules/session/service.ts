/** Signing in and out, and making the first owner. A try is counted before the PIN is looked at, so that many at once gain nothing. */
import { amount } from '@fox-tempo/core/base/messages';
import { message } from '@fox-tempo/words';
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { LeadPin, OwnSession, Role, SessionState } from '@fox-tempo/contract';
import type { Request, Response } from 'express';
import type { Database, Executor } from '../../db/connection.ts';
import { HttpProblem } from '../../http/problem.ts';
import { readShop } from '../shop/index.ts';
import { hashPin, pinFits, waitAfter } from './pin.ts';
import {
  countTry,
  endSession,
  countWrongCode,
  findHere,
  forgetTries,
  hasOwner,
  insertOwner,
  lockOwnerCode,
  markTold,
  peopleHere,
  pinHashOf,
  preferencesOf,
  sessionsOf,
  setOwnerCode,
  untoldTries,
  waitLeftS,
  type Try,
} from './repo.ts';
import { personOf } from './who.ts';
import type { Tickets } from './tickets.ts';
import { log } from '../../http/log.ts';
import { deviceName, deviceOf, placeOf, rememberDevice, type Device } from './device.ts';

export async function sessionState(db: Executor, request: Request, tickets: Tickets): Promise<SessionState> {
  const { name, timeZone, thicknessRule, demo } = await readShop(db);
  const me = await personOf(db, request);
  const { cookie, wrongTries = null } = (request.session ?? {}) as Partial<Request['session']>;
  // What is left of the session, ms.
  const leftMs = cookie?.maxAge ?? 0;
  return {
    me: me && {
      ...me,
      preferences: await preferencesOf(db, me.id),
      ticket: tickets.issue(me.id, Date.now() + leftMs),
      wrongTries,
    },
    shop: { name, timeZone, demo, thicknessRule },
    needsOwner: !(await hasOwner(db)),
    people: await peopleHere(db),
  };
}

/** A request and its answer: signing in gives the device its name. */
export interface AtDevice {
  readonly request: Request;
  readonly response: Response;
}

export async function signIn(db: Executor, http: AtDevice, personId: string, pin: string): Promise<void> {
  await tryPin(db, { personId, place: await placeOf(db, deviceOf(http.request)) }, pin);
  await begin(db, http, personId);
}

/**
 * Somebody's name and PIN given on another one's session. Wrong tries are counted apart from those at signing in, and by who asked: nobody
 * shuts a lead hand out by asking for a release.
 */
export async function confirmPin(
  db: Executor,
  { personId, pin }: LeadPin,
  allowed: readonly Role[],
  { device, askedBy }: { readonly device: Device; readonly askedBy: string },
): Promise<{ readonly id: string; readonly role: Role }> {
  const place = `${await placeOf(db, device)}, asked by ${askedBy}`;
  await tryPin(db, { personId, place }, pin);
  const person = await findHere(db, personId);
  if (!person) throw wrongPin();
  if (!allowed.includes(person.role)) throw new HttpProblem('not-allowed', message('server.session.error.lead-pin'));
  return person;
}

/** What a name without a PIN is held against, so that its answer takes as long as any other's. */
const nobodysHash = hashPin(randomBytes(12).toString('hex'));

async function tryPin(db: Executor, one: Try, pin: string): Promise<void> {
  const tries = await countTry(db, one);
  if (tries === undefined) throw tooSoon(Math.max(await waitLeftS(db, one), 1));
  const hash = await pinHashOf(db, one.personId);
  const fits = await pinFits(hash ?? (await nobodysHash), pin);
  if (hash === null || !fits) {
    log.warn('wrong PIN', { person: one.personId, place: one.place, tries });
    throw wrongPin(waitAfter(tries));
  }
  await forgetTries(db, one);
}

/** In as anybody, on the demo shop alone. */
export async function demoSignIn(db: Executor, http: AtDevice, personId: string): Promise<void> {
  const { demo } = await readShop(db);
  if (!demo) throw new HttpProblem('not-allowed', message('server.session.error.demo-only'));
  if (!(await findHere(db, personId)))
    throw new HttpProblem('not-found', message('server.session.error.no-person', { personId }));
  await begin(db, http, personId);
}

/** The first owner, by the one-time code that the start printed. */
export async function makeOwner(
  db: Database,
  http: AtDevice,
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
  if (outcome === 'has-owner') throw new HttpProblem('not-allowed', message('server.session.error.has-owner'));
  if (outcome === 'wrong') throw new HttpProblem('wrong-pin', message('server.session.error.wrong-code'));
  if (typeof outcome === 'number') throw tooSoon(outcome);
  await begin(db, http, personId);
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
async function begin(db: Executor, { request, response }: AtDevice, personId: string): Promise<void> {
  await rememberDevice(db, request, response);
  const wrongTries = (await untoldTries(db, personId)).get(personId) ?? null;
  await markTold(db, personId);
  await new Promise<void>((resolve, reject) => {
    request.session.regenerate((error: unknown) => {
      if (error) {
        reject(asError(error));
        return;
      }
      Object.assign(request.session, {
        personId,
        wrongTries,
        startedAt: Date.now(),
        device: deviceName(request.get('user-agent') ?? ''),
      });
      request.session.save((failed: unknown) => {
        if (failed) reject(asError(failed));
        else resolve();
      });
    });
  });
}

/** Where one is signed in. */
export async function ownSessions(db: Executor, request: Request, personId: string): Promise<OwnSession[]> {
  return (await sessionsOf(db, personId)).map(({ sid, startedAt, device = '', endsAt }) => ({
    id: nameOf(sid),
    startedAt: startedAt === undefined ? null : new Date(startedAt).toISOString(),
    endsAt,
    device,
    isThis: sid === request.sessionID,
  }));
}

/** Signs oneself out elsewhere. */
export async function endOwnSession(db: Executor, personId: string, id: string): Promise<void> {
  const found = (await sessionsOf(db, personId)).find(({ sid }) => nameOf(sid) === id);
  if (!found) throw new HttpProblem('not-found', message('server.session.no-such-session'));
  await endSession(db, found.sid);
}

/** A session's name in a list: with its own id one could take it over. */
function nameOf(sid: string): string {
  return createHash('sha256').update(sid).digest('hex').slice(0, 24);
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
      ? message('server.session.error.wrong-pin-wait', { wait: amount('phaseTime', waitS) })
      : message('server.session.error.wrong-pin'),
    waitS > 0 ? { waitS } : {},
  );
}

function tooSoon(waitS: number): HttpProblem {
  return new HttpProblem(
    'too-many',
    message('server.session.error.too-many-tries', { wait: amount('phaseTime', waitS) }),
    { waitS },
  );
}
