/** PINs: hashed with Argon2id; after five wrong ones in a row each further try waits twice as long as the one before. */
import { hash, verify } from '@node-rs/argon2';
import { sql, type AnyColumn, type SQL } from 'drizzle-orm';

const freeTries = 5;
const firstWaitS = 5;
const longestWaitS = 900;

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

/** The same wait as a moment, for the statement that counts the try: many tries at once are then counted one by one. */
export function waitUntilSql(failedTriesBefore: AnyColumn): SQL {
  return sql`case when ${failedTriesBefore} + 1 < ${freeTries} then null
    else now() + make_interval(secs => least(${firstWaitS} * power(2, ${failedTriesBefore} + 1 - ${freeTries}), ${longestWaitS})) end`;
}

/** Seconds to wait after so many wrong tries in a row: 0 up to the fourth, then 5, 10, 20 ... 900. */
export function waitAfter(failedTries: number): number {
  return failedTries < freeTries ? 0 : Math.min(firstWaitS * 2 ** (failedTries - freeTries), longestWaitS);
}
