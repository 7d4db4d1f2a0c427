/** The device a request comes from: a random name in a cookie of its own, given at the first sign-in that succeeds. */
import { randomBytes } from 'node:crypto';
import type { Request, Response } from 'express';
import type { Executor } from '../../db/connection.ts';
import { isKnownDevice, keepDevice } from './repo.ts';

const cookieName = 'tempo-device';
const keptDays = 400;

export interface Device {
  /** Null where the device has no name yet. */
  readonly id: string | null;
}

export function deviceOf(request: Request): Device {
  const found = new RegExp(`(?:^|;\\s*)${cookieName}=([A-Za-z0-9_-]{20,64})(?:;|$)`).exec(request.headers.cookie ?? '');
  return { id: found?.[1] ?? null };
}

/** Where tries on this device are counted: those of a device that nobody ever signed in on are counted together. */
export async function placeOf(db: Executor, { id }: Device): Promise<string> {
  return id !== null && (await isKnownDevice(db, id)) ? `device ${id}` : 'elsewhere';
}

/** Gives the device its name, where it has none that is known. */
export async function rememberDevice(db: Executor, request: Request, response: Response): Promise<void> {
  const { id } = deviceOf(request);
  if (id !== null && (await isKnownDevice(db, id))) return;
  const name = randomBytes(18).toString('base64url');
  await keepDevice(db, name);
  response.cookie(cookieName, name, {
    httpOnly: true,
    sameSite: 'strict',
    secure: request.secure,
    maxAge: keptDays * 86_400_000,
    path: '/',
  });
}

/** As somebody reads it in a list of devices: browser and system of the user agent. */
export function deviceName(userAgent: string): string {
  const browser = /Edg\//.test(userAgent)
    ? 'Edge'
    : /Firefox\//.test(userAgent)
      ? 'Firefox'
      : /Chrome\//.test(userAgent)
        ? 'Chrome'
        : /Safari\//.test(userAgent)
          ? 'Safari'
          : '';
  const system = /Android|iPad|iPhone|Windows|Mac OS|Linux/.exec(userAgent)?.[0] ?? '';
  return [browser, system].filter((one) => one !== '').join(', ');
}
