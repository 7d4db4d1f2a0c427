import { index, integer, pgTable, primaryKey, text, timestamp } from 'drizzle-orm/pg-core';

/** Devices on which somebody of the shop has signed in: a stranger's tries are counted apart from theirs. */
export const devices = pgTable('devices', {
  id: text('id').primaryKey(),
  at: timestamp('at', { withTimezone: true, mode: 'string' }).notNull().defaultNow(),
});

/** Wrong PINs by person and by where they were tried. A name that is nobody's is counted too, so that it answers as any other. */
export const pinTries = pgTable(
  'pin_tries',
  {
    personId: text('person_id').notNull(),
    place: text('place').notNull(),
    /** In a row, since the last right one here. */
    tries: integer('tries').notNull().default(0),
    waitUntil: timestamp('wait_until', { withTimezone: true, mode: 'string' }),
    /** Wrong ones that the person has not been told of yet. */
    untold: integer('untold').notNull().default(0),
    lastAt: timestamp('last_at', { withTimezone: true, mode: 'string' }).notNull().defaultNow(),
  },
  (table) => [primaryKey({ columns: [table.personId, table.place] }), index('pin_tries_by_time').on(table.lastAt)],
);
