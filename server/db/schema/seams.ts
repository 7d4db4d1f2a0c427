import { sql } from 'drizzle-orm';
import type { SeamSpec } from '@fox-tempo/contract';
import { boolean, check, doublePrecision, index, jsonb, pgTable, text } from 'drizzle-orm/pg-core';
import { parts } from './parts.ts';
import { stamps } from './stamps.ts';

/** Metric, as described at the bench; null where the plan decides. */
export const seams = pgTable(
  'seams',
  {
    id: text('id').primaryKey(),
    partId: text('part_id')
      .notNull()
      .references(() => parts.id),
    name: text('name').notNull(),
    grade: text('grade').notNull().default(''),
    materialGroup: text('material_group').notNull(),
    thickness1Mm: doublePrecision('thickness1_mm').notNull(),
    thickness2Mm: doublePrecision('thickness2_mm').notNull(),
    joint: text('joint').notNull(),
    position: text('position').notNull(),
    gapMm: doublePrecision('gap_mm').notNull(),
    legMm: doublePrecision('leg_mm'),
    lengthMm: doublePrecision('length_mm').notNull(),
    travelMmPerMin: doublePrecision('travel_mm_per_min'),
    /** Edges of a butt; null: square. */
    preparation: jsonb('preparation').$type<SeamSpec['preparation']>(),
    /** What the arc is meant to do; null: what the joint wants. */
    arcIntent: text('arc_intent').$type<SeamSpec['arcIntent']>(),
    /** Taken off the lists, with everything it has; it can be brought back. */
    deleted: boolean('deleted').notNull().default(false),
    ...stamps(),
  },
  (table) => [
    check('seams_thickness_positive', sql`${table.thickness1Mm} > 0 and ${table.thickness2Mm} > 0`),
    index('seams_by_part').on(table.partId, table.name),
    index('seams_by_created').on(table.createdAt, table.id),
  ],
);
