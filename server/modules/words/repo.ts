import { asc, eq } from 'drizzle-orm';
import type { Language } from '@fox-tempo/words';
import type { Executor } from '../../db/connection.ts';
import { people, wordReviews } from '../../db/schema/index.ts';
import { isoTime } from '../../http/timestamp.ts';

export interface ReviewRow {
  readonly language: Language;
  readonly key: string;
  readonly english: string;
  readonly text: string;
  readonly by: string;
  readonly at: string;
}

/** All of them, the oldest first. */
export async function listReviews(db: Executor): Promise<ReviewRow[]> {
  const rows = await db
    .select({
      language: wordReviews.language,
      key: wordReviews.key,
      english: wordReviews.english,
      text: wordReviews.text,
      by: people.name,
      at: wordReviews.at,
    })
    .from(wordReviews)
    .innerJoin(people, eq(people.id, wordReviews.by))
    .orderBy(asc(wordReviews.row));
  return rows.map((row) => ({ ...row, at: isoTime(row.at) }));
}

export async function insertReview(
  db: Executor,
  review: Pick<ReviewRow, 'language' | 'key' | 'english' | 'text' | 'by'>,
): Promise<void> {
  await db.insert(wordReviews).values(review);
}
