/** Columns every editable row carries: its optimistic version, and who made and changed it when. */
import { sql } from 'drizzle-orm';
import { integer, text, timestamp } from 'drizzle-orm/pg-core';
import { people } from './people.ts';

export function stamps() {
  return {
    version: integer('version').notNull().default(1),
    createdAt: timestamp('created_at', { withTimezone: true, mode: 'string' })
      .notNull()
      // Not now(): rows made in one transaction keep the order they were made in.
      .default(sql`clock_timestamp()`),
    createdBy: text('created_by')
      .notNull()
      .references(() => people.id),
    changedAt: timestamp('changed_at', { withTimezone: true, mode: 'string' }).notNull().defaultNow(),
    changedBy: text('changed_by')
      .notNull()
      .references(() => people.id),
  };
}
