import { sql } from 'drizzle-orm';
import { check, doublePrecision, pgTable, text } from 'drizzle-orm/pg-core';
import { machines } from './machines.ts';
import { stamps } from './stamps.ts';

/** A gas cylinder as last read and counted down since. Compressed gas has a pressure, liquid CO₂ a mass. */
export const cylinders = pgTable(
  'cylinders',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    gas: text('gas').notNull(),
    volumeL: doublePrecision('volume_l').notNull(),
    pressureBar: doublePrecision('pressure_bar'),
    massKg: doublePrecision('mass_kg'),
    convention: text('convention').notNull(),
    /** Where it is connected; null in the store. */
    machineId: text('machine_id').references(() => machines.id),
    ...stamps(),
  },
  (table) => [
    check('cylinders_content_known', sql`${table.pressureBar} is not null or ${table.massKg} is not null`),
    check('cylinders_not_negative', sql`coalesce(${table.pressureBar}, 0) >= 0 and coalesce(${table.massKg}, 0) >= 0`),
  ],
);

export const spools = pgTable(
  'spools',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    filler: text('filler').notNull(),
    diameterMm: doublePrecision('diameter_mm').notNull(),
    massKg: doublePrecision('mass_kg').notNull(),
    machineId: text('machine_id').references(() => machines.id),
    ...stamps(),
  },
  (table) => [check('spools_not_negative', sql`${table.massKg} >= 0`)],
);
