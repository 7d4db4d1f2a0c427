import { index, pgTable, serial, text, timestamp } from 'drizzle-orm/pg-core';
import type { Language } from '@fox-tempo/words';
import { people } from './people.ts';

/** Texts of the application that a native reader of this shop confirmed or corrected; the newest of a key counts, and none is changed. */
export const wordReviews = pgTable(
  'word_reviews',
  {
    row: serial('row').primaryKey(),
    at: timestamp('at', { withTimezone: true, mode: 'string' }).notNull().defaultNow(),
    by: text('by')
      .notNull()
      .references(() => people.id),
    language: text('language').$type<Language>().notNull(),
    key: text('key').notNull(),
    /** The English that it says in the other language; once that changes, the review counts no longer. */
    english: text('english').notNull(),
    text: text('text').notNull(),
  },
  (table) => [index('word_reviews_by_language').on(table.language, table.row)],
);
