import { sql } from 'drizzle-orm';
import { check, doublePrecision, index, pgTable, serial, text, timestamp } from 'drizzle-orm/pg-core';
import { machines } from './machines.ts';
import { people } from './people.ts';

function noted() {
  return {
    id: serial('id').primaryKey(),
    machineId: text('machine_id')
      .notNull()
      .references(() => machines.id),
    at: timestamp('at', { withTimezone: true, mode: 'string' }).notNull().defaultNow(),
    by: text('by')
      .notNull()
      .references(() => people.id),
  };
}

/** Resistance of leads, gun and clamp as measured. */
export const leadReadings = pgTable(
  'lead_readings',
  { ...noted(), mOhm: doublePrecision('m_ohm').notNull(), note: text('note').notNull().default('') },
  (table) => [
    index('lead_readings_by_machine').on(table.machineId, table.at),
    check('lead_readings_not_negative', sql`${table.mOhm} >= 0`),
  ],
);

/** Minutes that a changeover step took here. */
export const stepTimes = pgTable(
  'step_times',
  { ...noted(), kind: text('kind').notNull(), minutes: doublePrecision('minutes').notNull() },
  (table) => [
    index('step_times_by_kind').on(table.machineId, table.kind, table.id),
    check('step_times_positive', sql`${table.minutes} > 0`),
  ],
);
