import type { ProgramFile } from '@fox-tempo/contract';
import { foreignKey, index, integer, jsonb, pgTable, serial, text, timestamp } from 'drizzle-orm/pg-core';
import { machines } from './machines.ts';
import { people } from './people.ts';
import { programRevisions } from './programs.ts';
import { seams } from './seams.ts';

/** Every storing into a memory slot, for ever; the newest of a slot is what stands there. What was found later is an observation. */
export const slotEntries = pgTable(
  'slot_entries',
  {
    id: serial('id').primaryKey(),
    machineId: text('machine_id')
      .notNull()
      .references(() => machines.id),
    slot: integer('slot').notNull(),
    seamId: text('seam_id')
      .notNull()
      .references(() => seams.id),
    programId: text('program_id').notNull(),
    revision: integer('revision').notNull(),
    program: jsonb('program').$type<ProgramFile>().notNull(),
    dials: jsonb('dials').$type<Record<string, number>>().notNull(),
    note: text('note').notNull().default(''),
    storedAt: timestamp('stored_at', { withTimezone: true, mode: 'string' }).notNull().defaultNow(),
    storedBy: text('stored_by')
      .notNull()
      .references(() => people.id),
  },
  (table) => [
    index('slot_entries_by_slot').on(table.machineId, table.slot, table.id),
    foreignKey({
      name: 'slot_entries_revision',
      columns: [table.programId, table.revision],
      foreignColumns: [programRevisions.programId, programRevisions.number],
    }),
    index('slot_entries_by_seam').on(table.seamId),
    index('slot_entries_by_revision').on(table.programId, table.revision),
  ],
);
