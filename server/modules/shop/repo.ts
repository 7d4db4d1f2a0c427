import { randomBytes } from 'node:crypto';
import { and, eq, sql } from 'drizzle-orm';
import type { Database, Executor } from '../../db/connection.ts';
import { shop } from '../../db/schema/index.ts';

export type ShopRow = typeof shop.$inferSelect;

export async function readShop(db: Executor): Promise<ShopRow> {
  const [row] = await db.select().from(shop);
  if (!row) throw new Error('the shop has no row; migrations make it');
  return row;
}

/** The shop's row, made at the first start of a database. */
export async function ensureShop(db: Database): Promise<ShopRow> {
  await db
    .insert(shop)
    .values({ name: 'My shop', sessionSecret: randomBytes(32).toString('hex') })
    .onConflictDoNothing();
  return readShop(db);
}

export async function markDemo(db: Executor, name: string, rates: ShopRow['rates'] = null): Promise<void> {
  await db.update(shop).set({ demo: true, name, rates });
}

/** False when the version is not the stored one. */
export async function updateShop(
  db: Executor,
  version: number,
  change: Partial<Pick<ShopRow, 'name' | 'timeZone' | 'rates'>> & {
    readonly thicknessRule?: ShopRow['thicknessRule'] | undefined;
  },
): Promise<boolean> {
  const rows = await db
    .update(shop)
    .set({ ...change, version: sql`${shop.version} + 1` })
    .where(and(eq(shop.id, 1), eq(shop.version, version)))
    .returning({ id: shop.id });
  return rows.length > 0;
}

/** Fails when the database does not answer. */
export async function ping(db: Executor): Promise<void> {
  await db.select({ id: shop.id }).from(shop).limit(1);
}
