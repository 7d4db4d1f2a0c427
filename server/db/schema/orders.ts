import { sql } from 'drizzle-orm';
import { boolean, check, date, index, integer, pgTable, text } from 'drizzle-orm/pg-core';
import { parts } from './parts.ts';
import { stamps } from './stamps.ts';

export const orders = pgTable(
  'orders',
  {
    id: text('id').primaryKey(),
    number: text('number').notNull().unique(),
    partId: text('part_id')
      .notNull()
      .references(() => parts.id),
    quantity: integer('quantity').notNull(),
    dueOn: date('due_on', { mode: 'string' }).notNull(),
    /** Closed orders leave the lists; nothing of them is lost. */
    closed: boolean('closed').notNull().default(false),
    ...stamps(),
  },
  (table) => [
    check('orders_quantity_positive', sql`${table.quantity} > 0`),
    index('orders_by_part').on(table.partId),
    index('orders_by_due').on(table.dueOn, table.id),
  ],
);
