import type { RatesSave } from '@fox-tempo/contract';
import type { ThicknessRule } from '@fox-tempo/core/setting/plan';
import { sql } from 'drizzle-orm';
import { boolean, check, integer, jsonb, pgTable, text, timestamp } from 'drizzle-orm/pg-core';

/** The shop itself: one row. */
export const shop = pgTable(
  'shop',
  {
    id: integer('id').primaryKey().default(1),
    version: integer('version').notNull().default(1),
    name: text('name').notNull(),
    /** IANA name; days begin and end in it. */
    timeZone: text('time_zone').notNull().default('Europe/Berlin'),
    /** Which thickness the shop counts when a plan sets the current. */
    thicknessRule: text('thickness_rule').$type<ThicknessRule>().notNull().default('leaning'),
    /** What minutes, wire and gas cost here; null: nobody wrote it down. */
    rates: jsonb('rates').$type<NonNullable<RatesSave['rates']>>(),
    /** The demo shop lets a visitor in as any of its people. */
    demo: boolean('demo').notNull().default(false),
    /** Signs session cookies; shared by all servers on this database. */
    sessionSecret: text('session_secret').notNull(),
    /** Hash of the code that makes the first owner; null once there is one. */
    ownerCodeHash: text('owner_code_hash'),
    /** Wrong codes in a row, and until when the next try has to wait. */
    codeFailures: integer('code_failures').notNull().default(0),
    codeWaitUntil: timestamp('code_wait_until', { withTimezone: true, mode: 'string' }),
  },
  () => [check('shop_one_row', sql`id = 1`)],
);
