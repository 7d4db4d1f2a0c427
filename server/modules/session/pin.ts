/** PINs: hashed with Argon2id; after five wrong ones in a row each further try waits twice as long as the one before. */
import { hash, verify } from '@node-rs/argon2';

export const freeTries = 5;
export const firstWaitS = 5;
export const longestWaitS = 900;

export function hashPin(pin: string): Promise<string> {
  return hash(pin);
}

/** False for a hash that cannot be read, too. */
export async function pinFits(pinHash: string, pin: string): Promise<boolean> {
  try {
    return await verify(pinHash, pin);
  } catch {
    return false;
  }
}

/** Seconds to wait after so many wrong tries in a row: 0 up to the fourth, then 5, 10, 20 ... 900. */
export function waitAfter(failedTries: number): number {
  return failedTries < freeTries ? 0 : Math.min(firstWaitS * 2 ** (failedTries - freeTries), longestWaitS);
}
