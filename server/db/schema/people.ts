import { sql } from 'drizzle-orm';
import { boolean, check, integer, pgTable, text } from 'drizzle-orm/pg-core';

/** Who works here. Nobody is deleted: what they signed stays signed; whoever left is retired. */
export const people = pgTable(
  'people',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    role: text('role').notNull(),
    version: integer('version').notNull().default(1),
    retired: boolean('retired').notNull().default(false),
    /** Argon2id; null until somebody who may has set a PIN. */
    pinHash: text('pin_hash'),
    /** How this person reads; null is as the device does. */
    language: text('language'),
    units: text('units'),
    theme: text('theme'),
    hand: text('hand'),
  },
  () => [
    check('people_role_known', sql`role in ('welder', 'lead', 'office', 'owner')`),
    check('people_units_known', sql`units in ('metric', 'us')`),
    check('people_theme_known', sql`theme in ('day', 'night')`),
    check('people_hand_known', sql`hand in ('right', 'left')`),
  ],
);
