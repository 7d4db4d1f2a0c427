/** Rows and a fingerprint of every table: two databases with the same fingerprints hold the same. */
import type pg from 'pg';

export interface Digest {
  readonly rows: number;
  readonly digest: string;
}
export type Digests = Readonly<Record<string, Digest>>;

/** Signed-in devices and wrong PINs are no part of what a shop knows. */
export const leftOut = ['sessions', 'devices', 'pin_tries'];

export async function digestsOf(client: pg.ClientBase): Promise<Digests> {
  const { rows } = await client.query<{ name: string }>(
    `select tablename as name from pg_tables where schemaname = 'public' order by 1`,
  );
  const digests: Record<string, Digest> = {};
  for (const { name } of rows) {
    if (leftOut.includes(name)) continue;
    const found = await client.query<{ rows: string; digest: string }>(
      `select count(*) as rows, md5(coalesce(string_agg(hash, '' order by hash), '')) as digest from (select md5(t::text) as hash from "${name.replaceAll('"', '""')}" t) as hashes`,
    );
    digests[name] = { rows: Number(found.rows[0]?.rows), digest: found.rows[0]?.digest ?? '' };
  }
  return digests;
}

/** Names of the tables that differ. */
export function differing(a: Digests, b: Digests): string[] {
  return [...new Set([...Object.keys(a), ...Object.keys(b)])]
    .filter((name) => a[name]?.digest !== b[name]?.digest)
    .sort();
}
