import { sql } from 'drizzle-orm';
import { check, date, index, integer, pgTable, text } from 'drizzle-orm/pg-core';
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
    done: integer('done').notNull().default(0),
    dueOn: date('due_on', { mode: 'string' }).notNull(),
    ...stamps(),
  },
  (table) => [
    check('orders_quantity_positive', sql`${table.quantity} > 0`),
    check('orders_done_not_negative', sql`${table.done} >= 0`),
    index('orders_by_due').on(table.dueOn, table.id),
  ],
);
