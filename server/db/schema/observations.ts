import { sql } from 'drizzle-orm';
import {
  bigint,
  check,
  customType,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  serial,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';
import { machines } from './machines.ts';
import { orders } from './orders.ts';
import { people } from './people.ts';
import { seams } from './seams.ts';
import { cylinders, spools } from './stock.ts';

const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' });

/** Everything that was observed, for ever: rows are added, never changed nor removed (a trigger refuses both). */
export const observations = pgTable(
  'observations',
  {
    /** Made by the client, so that sending twice stores once. */
    id: uuid('id').primaryKey(),
    /** Order of arrival. */
    row: serial('row').notNull().unique(),
    kind: text('kind').notNull(),
    at: timestamp('at', { withTimezone: true, mode: 'string' })
      .notNull()
      .default(sql`clock_timestamp()`),
    /** What the device's clock said, where it recorded without the server. */
    deviceAt: timestamp('device_at', { withTimezone: true, mode: 'string' }),
    recordedBy: text('recorded_by')
      .notNull()
      .references(() => people.id),
    /** Under whose session it came, where that was somebody else's than the recorder's. */
    sentBy: text('sent_by').references(() => people.id),
    weldedBy: text('welded_by').references(() => people.id),
    machineId: text('machine_id').references(() => machines.id),
    seamId: text('seam_id').references(() => seams.id),
    revision: integer('revision'),
    /** Of the revision's program, so that a copy elsewhere can be told to be the same. */
    contentHash: text('content_hash'),
    /** The observation that this one corrects. */
    corrects: uuid('corrects'),
    body: jsonb('body').$type<Record<string, unknown>>().notNull(),
  },
  (table) => [
    index('observations_by_kind').on(table.kind, table.row),
    index('observations_by_machine').on(table.machineId, table.kind, table.row),
    index('observations_by_seam').on(table.seamId, table.kind, table.row),
    index('observations_by_person').on(table.recordedBy),
    index('observations_by_welder').on(table.weldedBy),
    index('observations_by_sender').on(table.sentBy),
    index('observations_by_corrected').on(table.corrects),
    index('observations_by_order')
      .on(sql`(${table.body}->>'orderId')`)
      .where(sql`${table.kind} in ('run', 'parts-done')`),
  ],
);

/** Photographs, sounds and traces by the hash of their bytes; the same bytes are kept once. */
export const blobs = pgTable('blobs', {
  sha256: text('sha256').primaryKey(),
  mediaType: text('media_type').notNull(),
  size: integer('size').notNull(),
  bytes: bytes('bytes').notNull(),
  at: timestamp('at', { withTimezone: true, mode: 'string' }).notNull().defaultNow(),
});

export const attachments = pgTable(
  'attachments',
  {
    observationId: uuid('observation_id')
      .notNull()
      .references(() => observations.id),
    sha256: text('sha256')
      .notNull()
      .references(() => blobs.sha256),
    name: text('name').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.observationId, table.sha256] }),
    index('attachments_by_blob').on(table.sha256),
  ],
);

/** What came to or left a cylinder or spool, in whole millilitres or milligrams: sums of them are exact in any order. */
export const stockMovements = pgTable(
  'stock_movements',
  {
    id: serial('id').primaryKey(),
    observationId: uuid('observation_id')
      .notNull()
      .references(() => observations.id),
    cylinderId: text('cylinder_id').references(() => cylinders.id),
    spoolId: text('spool_id').references(() => spools.id),
    amount: bigint('amount', { mode: 'number' }).notNull(),
  },
  (table) => [
    check('stock_movements_one_item', sql`(${table.cylinderId} is null) <> (${table.spoolId} is null)`),
    index('stock_movements_by_cylinder').on(table.cylinderId),
    index('stock_movements_by_spool').on(table.spoolId),
    index('stock_movements_by_observation').on(table.observationId),
  ],
);

/** Parts of an order done, or taken back when negative. */
export const orderCounts = pgTable(
  'order_counts',
  {
    id: serial('id').primaryKey(),
    observationId: uuid('observation_id')
      .notNull()
      .references(() => observations.id),
    orderId: text('order_id')
      .notNull()
      .references(() => orders.id),
    count: integer('count').notNull(),
  },
  (table) => [
    index('order_counts_by_order').on(table.orderId),
    index('order_counts_by_observation').on(table.observationId),
  ],
);

/** Answers to writes that carried a key: sent again, the same answer is given and nothing is done twice. */
export const keptAnswers = pgTable(
  'kept_answers',
  {
    key: uuid('key').primaryKey(),
    personId: text('person_id')
      .notNull()
      .references(() => people.id),
    endpoint: text('door').notNull(),
    requestHash: text('request_hash').notNull(),
    status: integer('status'),
    answer: jsonb('answer').$type<unknown>(),
    at: timestamp('at', { withTimezone: true, mode: 'string' }).notNull().defaultNow(),
  },
  (table) => [index('kept_answers_by_time').on(table.at), index('kept_answers_by_person').on(table.personId)],
);
