import { boolean, pgTable, text } from 'drizzle-orm/pg-core';
import { stamps } from './stamps.ts';

export const parts = pgTable('parts', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  about: text('about').notNull().default(''),
  retired: boolean('retired').notNull().default(false),
  ...stamps(),
});
