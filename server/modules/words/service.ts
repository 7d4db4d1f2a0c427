/** What native readers of the shop confirmed or corrected: kept for ever, the newest of a key in use at once, on pages and papers. */
import {
  isLanguage,
  patternTrouble,
  message,
  takeShopTexts,
  type Language,
  type PatternTrouble,
} from '@fox-tempo/words';
import type { Issue } from '@fox-tempo/core/base/outcome';
import english from '../../../words/en.json' with { type: 'json' };
import type { Executor } from '../../db/connection.ts';
import { HttpProblem, invalidInput } from '../../http/problem.ts';
import { insertReview, listReviews, type ReviewRow } from './repo.ts';

const catalogue: Readonly<Record<string, string>> = english;

/** The newest of each key whose English is still the same. */
export async function reviewsIn(db: Executor, language: Language): Promise<ReviewRow[]> {
  return newest(await listReviews(db)).filter((row) => row.language === language);
}

/** Reads them into use. */
export async function readShopTexts(db: Executor): Promise<void> {
  const texts: Partial<Record<Language, Record<string, string>>> = {};
  for (const { language, key, text } of newest(await listReviews(db))) (texts[language] ??= {})[key] = text;
  takeShopTexts(texts);
}

export async function addReview(
  db: Executor,
  asked: string,
  { key, text }: { readonly key: string; readonly text: string },
  by: string,
): Promise<ReviewRow[]> {
  const language = languageOf(asked);
  const said = Object.hasOwn(catalogue, key) ? catalogue[key] : undefined;
  if (said === undefined)
    throw invalidInput([
      { path: 'key', code: 'unknown-code', message: message('server.words.error.no-key', { key }), got: key },
    ]);
  const trouble = patternTrouble(said, text, language);
  if (trouble) throw invalidInput([issueOf(trouble, text)]);
  await insertReview(db, { language, key, english: said, text, by });
  await readShopTexts(db);
  return reviewsIn(db, language);
}

/** A language that is translated: English is what the others are checked against. */
export function languageOf(asked: string): Language {
  if (isLanguage(asked) && asked !== 'en') return asked;
  throw new HttpProblem('not-found', message('server.words.error.no-language', { language: asked }));
}

function newest(rows: readonly ReviewRow[]): ReviewRow[] {
  const last = new Map(rows.map((row) => [`${row.language} ${row.key}`, row]));
  return [...last.values()].filter(({ key, english: said }) => catalogue[key] === said);
}

function issueOf(trouble: PatternTrouble, text: string): Issue {
  const names = (list: readonly string[]) => list.map((name) => `{${name}}`);
  const said =
    trouble.code === 'unreadable'
      ? message('server.words.error.unreadable', { why: trouble.why })
      : trouble.code === 'plural'
        ? message('server.words.error.plural', { missing: trouble.missing })
        : message('server.words.error.values', {
            missing: trouble.missing.length === 0 ? '–' : names(trouble.missing),
            unknown: trouble.unknown.length === 0 ? '–' : names(trouble.unknown),
          });
  return { path: 'text', code: 'invalid', message: said, got: text };
}
