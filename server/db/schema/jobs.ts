import { boolean, doublePrecision, index, integer, jsonb, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { people } from './people.ts';

/** What a queued computation was asked, how far it is, and its answer. The queue itself is pg-boss's, in a schema of its own. */
export const jobs = pgTable(
  'jobs',
  {
    id: uuid('id').primaryKey(),
    verb: text('verb').notNull(),
    input: jsonb('input').$type<unknown>().notNull(),
    state: text('state').notNull().default('waiting'),
    progress: doublePrecision('progress').notNull().default(0),
    tries: integer('tries').notNull().default(0),
    cancelled: boolean('cancelled').notNull().default(false),
    answer: jsonb('answer').$type<unknown>(),
    trouble: text('trouble'),
    /** Last sign of life of who works on it. */
    beatAt: timestamp('beat_at', { withTimezone: true, mode: 'string' }).notNull().defaultNow(),
    createdAt: timestamp('created_at', { withTimezone: true, mode: 'string' }).notNull().defaultNow(),
    createdBy: text('created_by')
      .notNull()
      .references(() => people.id),
  },
  (table) => [index('jobs_by_person').on(table.createdBy, table.createdAt)],
);
