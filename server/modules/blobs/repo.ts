import { eq, inArray } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { blobs } from '../../db/schema/index.ts';

/** The same bytes are kept once. */
export async function keepBlob(
  db: Executor,
  row: { readonly sha256: string; readonly mediaType: string; readonly size: number; readonly bytes: Buffer },
): Promise<void> {
  await db.insert(blobs).values(row).onConflictDoNothing();
}

export async function findBlob(db: Executor, sha256: string) {
  const [row] = await db.select().from(blobs).where(eq(blobs.sha256, sha256));
  return row;
}

/** The first of these hashes that is not kept. */
export async function missingBlob(db: Executor, wanted: readonly string[]): Promise<string | undefined> {
  if (wanted.length === 0) return undefined;
  const rows = await db
    .select({ sha256: blobs.sha256 })
    .from(blobs)
    .where(inArray(blobs.sha256, [...wanted]));
  return wanted.find((sha256) => !rows.some((row) => row.sha256 === sha256));
}
