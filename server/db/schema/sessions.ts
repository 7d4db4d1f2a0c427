import { index, json, pgTable, text, timestamp } from 'drizzle-orm/pg-core';

/** Signed-in devices, in the shape that the session store reads. Left out of backups. */
export const sessions = pgTable(
  'sessions',
  {
    sid: text('sid').primaryKey(),
    sess: json('sess').notNull(),
    expire: timestamp('expire', { withTimezone: true, mode: 'string' }).notNull(),
  },
  (table) => [index('sessions_by_expiry').on(table.expire)],
);
