import { boolean, doublePrecision, index, integer, jsonb, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { machines } from './machines.ts';
import { observations } from './observations.ts';
import { people } from './people.ts';
import { seams } from './seams.ts';

/** What a list of trials asks for, drawn from their observations and made anew from them when one is corrected; nothing stands only here. */
export const trials = pgTable(
  'trials',
  {
    /** The first observation of it; corrections keep it. */
    id: uuid('id')
      .primaryKey()
      .references(() => observations.id),
    /** The observation that holds now. */
    observationId: uuid('observation_id')
      .notNull()
      .references(() => observations.id),
    row: integer('row').notNull().unique(),
    at: timestamp('at', { withTimezone: true, mode: 'string' }).notNull(),
    seamId: text('seam_id')
      .notNull()
      .references(() => seams.id),
    machineId: text('machine_id')
      .notNull()
      .references(() => machines.id),
    welderId: text('welder_id')
      .notNull()
      .references(() => people.id),
    verdict: text('verdict').notNull(),
    byEyeOnly: boolean('by_eye_only').notNull(),
    materialGroup: text('material_group').notNull(),
    thicknessMm: doublePrecision('thickness_mm').notNull(),
    joint: text('joint').notNull(),
    position: text('position').notNull(),
    mode: text('mode').notNull(),
    filler: text('filler').notNull(),
    gas: text('gas').notNull(),
    diameterMm: doublePrecision('diameter_mm').notNull(),
    wireFeedMPerMin: doublePrecision('wire_feed_m_per_min').notNull(),
    trimMm: doublePrecision('trim_mm').notNull(),
    plannedTravelMmPerMin: doublePrecision('planned_travel_mm_per_min').notNull(),
    foundTravelMmPerMin: doublePrecision('found_travel_mm_per_min'),
    arcSeconds: doublePrecision('arc_seconds'),
    timer: text('timer'),
    legsMm: jsonb('legs_mm').$type<[number, number]>(),
    symptoms: text('symptoms').array().notNull(),
    photos: integer('photos').notNull(),
    withdrawn: boolean('withdrawn').notNull().default(false),
  },
  (table) => [
    index('trials_by_seam').on(table.seamId, table.row),
    index('trials_by_machine').on(table.machineId, table.row),
    index('trials_by_welder').on(table.welderId, table.row),
    index('trials_by_verdict').on(table.verdict, table.row),
    index('trials_by_metal').on(table.materialGroup, table.row),
    index('trials_by_observation').on(table.observationId),
    index('trials_by_symptom').using('gin', table.symptoms),
  ],
);

/** A simulated machine: what is wrong with it, which never leaves the server, and its last weld. */
export const standIns = pgTable('stand_ins', {
  machineId: text('machine_id')
    .primaryKey()
    .references(() => machines.id),
  faults: text('faults').array().notNull(),
  welds: integer('welds').notNull().default(0),
  seed: integer('seed').notNull(),
  trace: text('trace'),
});
