import type { Site } from '@fox-tempo/core/site';
import type { ProgramChoice, ProgramFile, RevisionUse, SeamSpec } from '@fox-tempo/contract';
import { index, integer, jsonb, pgTable, primaryKey, text, timestamp } from 'drizzle-orm/pg-core';
import { people } from './people.ts';
import { seams } from './seams.ts';
import { stamps } from './stamps.ts';

/** One program for a seam; what it says stands in its revisions. */
export const programs = pgTable('programs', {
  id: text('id').primaryKey(),
  seamId: text('seam_id')
    .notNull()
    .unique()
    .references(() => seams.id),
  ...stamps(),
});

/** Never changed once written; a revision carries the seam it was made for, so that it is whole by itself. */
export const programRevisions = pgTable(
  'program_revisions',
  {
    programId: text('program_id')
      .notNull()
      .references(() => programs.id),
    number: integer('number').notNull(),
    spec: jsonb('spec').$type<SeamSpec>().notNull(),
    choice: jsonb('choice').$type<ProgramChoice>().notNull(),
    program: jsonb('program').$type<ProgramFile>().notNull(),
    /** What shop and welder brought to its plan; null only in rows that are still to be brought up. */
    site: jsonb('site').$type<Site>(),
    /** Minutes, wire and gas of one part as the model of that day had them; null in rows older than this column. */
    use: jsonb('use').$type<RevisionUse>(),
    contentHash: text('content_hash'),
    createdAt: timestamp('created_at', { withTimezone: true, mode: 'string' }).notNull().defaultNow(),
    createdBy: text('created_by')
      .notNull()
      .references(() => people.id),
  },
  (table) => [
    primaryKey({ columns: [table.programId, table.number] }),
    index('program_revisions_by_author').on(table.createdBy),
  ],
);
