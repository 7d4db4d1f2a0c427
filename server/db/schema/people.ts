import { pgTable, text } from 'drizzle-orm/pg-core';

export const people = pgTable('people', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  role: text('role').notNull(),
});
