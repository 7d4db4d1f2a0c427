import { boolean, doublePrecision, index, pgTable, text } from 'drizzle-orm/pg-core';
import { machines } from './machines.ts';
import { stamps } from './stamps.ts';

/** A gas cylinder; what is in it is the sum of its movements. */
export const cylinders = pgTable(
  'cylinders',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    gas: text('gas').notNull(),
    volumeL: doublePrecision('volume_l').notNull(),
    /** Weighed gas has a gauge too; it says nothing of what is left and is kept as it was read. */
    gaugeBar: doublePrecision('gauge_bar'),
    convention: text('convention').notNull(),
    /** Where it is connected; null on the shelf. */
    machineId: text('machine_id').references(() => machines.id),
    /** Empty and gone: off the lists, its movements stay. */
    retired: boolean('retired').notNull().default(false),
    ...stamps(),
  },
  (table) => [index('cylinders_by_machine').on(table.machineId)],
);

export const spools = pgTable(
  'spools',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    filler: text('filler').notNull(),
    diameterMm: doublePrecision('diameter_mm').notNull(),
    machineId: text('machine_id').references(() => machines.id),
    /** Empty and gone: off the lists, its movements stay. */
    retired: boolean('retired').notNull().default(false),
    ...stamps(),
  },
  (table) => [index('spools_by_machine').on(table.machineId)],
);
