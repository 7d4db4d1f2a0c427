import type { MachineFile, MachineStanding } from '@fox-tempo/contract';
import { boolean, doublePrecision, jsonb, pgTable, text } from 'drizzle-orm/pg-core';
import { stamps } from './stamps.ts';

/** The machine file whole, and beside it the few facts that are searched. */
export const machines = pgTable('machines', {
  id: text('id').primaryKey(),
  name: text('name').notNull().unique(),
  place: text('place').notNull(),
  peakCurrentA: doublePrecision('peak_current_a').notNull(),
  file: jsonb('file').$type<MachineFile>().notNull(),
  standing: jsonb('standing').$type<MachineStanding>(),
  retired: boolean('retired').notNull().default(false),
  ...stamps(),
});
