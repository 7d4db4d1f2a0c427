/**
 * Every view with a catalogue of the longest sentence of all languages, marked: whatever is read outside the marks came from no catalogue and
 * would be English in every language. What the server sends (names, notes, its own sentences) is data and may stand as it is.
 */
import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { languages } from '@fox-tempo/core/base/messages';
import { quantities } from '@fox-tempo/core/base/units';
import { expect, signIn, test } from './driver.ts';
import { cutOffAt, walkViews } from './walk.ts';

const catalogues = languages.map(
  (language) =>
    JSON.parse(readFileSync(new URL(`../words/${language}.json`, import.meta.url), 'utf8')) as Record<string, string>,
);

/** Marks that take no room. */
const begin = '\u2063';
const end = '\u2064';

/** Letters that stand whatever the values are. */
const letters = (pattern: string) => pattern.replaceAll(/\{[^{}]*\}/g, '').length;

/** A sentence as the language says it that takes most room for it, between marks. */
function longest(key: string, english: string): string {
  const said = catalogues.map((words) => words[key] ?? english);
  return begin + said.reduce((long, one) => (letters(one) > letters(long) ? one : long)) + end;
}

/** Reads the same in every language: units, keys of the keyboard, file types, and the name of the application. */
const units = Object.values(quantities).flatMap(({ metric, us }) => [metric.label, us.label]);
const same = [
  ...units,
  ...[
    'Fox Tempo',
    'Ctrl',
    'Shift',
    'Space',
    'Esc',
    'CSV',
    'PNG',
    'SVG',
    'PDF',
    'JSON',
    'LETTER',
    'English',
    'Deutsch',
    'Español',
  ],
  ...[
    'Polski',
    'Português (Brasil)',
    'ISO',
    'AWS',
    'CET',
    'AlMgSi',
    'ERCuSi-A',
    'Fox',
    'Tempo',
    'PIN',
    'iCalendar',
    ...days(),
  ],
];

/** Names of days and months: a date is written by the browser, in the language of the page. */
function days(): string[] {
  // Every month, and within a week of them every day of one.
  const dates = Array.from({ length: 12 }, (_, month) =>
    [...Array(7).keys()].map((day) => new Date(2026, month, day + 1)),
  ).flat();
  return dates.flatMap((date) =>
    (['short', 'long'] as const).flatMap((length) =>
      [{ month: length }, { weekday: length }].map((part) => new Intl.DateTimeFormat('en-GB', part).format(date)),
    ),
  );
}

async function textsOn(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const out = [document.title];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) {
      const node = walker.currentNode;
      if (!node.parentElement?.closest('script, style')) out.push(node.textContent ?? '');
    }
    for (const name of ['aria-label', 'title', 'placeholder', 'alt', 'aria-valuetext'])
      for (const element of document.querySelectorAll(`[${name}]`)) out.push(element.getAttribute(name) ?? '');
    return out;
  });
}

/** What is left of a text outside all marks. */
function outside(text: string): string {
  let depth = 0;
  let left = '';
  for (const letter of text) {
    if (letter === begin) depth++;
    else if (letter === end) depth--;
    else if (depth === 0) left += letter;
  }
  return left;
}

/** Without designations of standards and grades, which have a digit in each word, and without time zones. */
function plain(text: string): string {
  return text
    .replaceAll(/[\p{L}\d.+-]*\d[\p{L}\d.+-]*/gu, ' ')
    .replaceAll(/\w+(?:\/[\w-]+)+/g, ' ')
    .replaceAll(/\s+/g, ' ')
    .trim();
}

/** Every string of an answer. */
function stringsOf(value: unknown, into: Set<string>): void {
  if (typeof value === 'string') into.add(plain(value));
  else if (typeof value === 'object' && value !== null) Object.values(value).forEach((one) => stringsOf(one, into));
}

test('no view says a word that is in no catalogue, or cuts one off in the longest words of all languages', async ({
  page,
  app,
}) => {
  test.setTimeout(600_000);
  const data = new Set<string>();
  page.on('response', async (response) => {
    if (!response.url().includes('/api/') || !(response.headers()['content-type'] ?? '').includes('json')) return;
    stringsOf(await response.json().catch(() => null), data);
  });
  await page.route(/\/assets\/en-[^/]*\.json$/, async (route) => {
    const catalogue = (await (await route.fetch()).json()) as Record<string, string>;
    await route.fulfill({
      json: Object.fromEntries(Object.entries(catalogue).map(([key, pattern]) => [key, longest(key, pattern)])),
    });
  });
  await signIn(page, app, 'mirja-keskalo');
  const found = new Set<string>();
  await walkViews(page, app.url, async ({ path }) => {
    const known = [...data, ...same].filter((one) => /\p{L}{2}/u.test(one)).sort((a, b) => b.length - a.length);
    for (const text of await textsOn(page)) {
      const bare = plain(outside(text));
      if (!/\p{L}{3}/u.test(bare) || data.has(bare)) continue;
      const left = known.reduce((rest, one) => (rest.includes(one) ? rest.replaceAll(one, ' ') : rest), bare);
      if (/\p{L}{3}/u.test(left)) found.add(`${path}: ${text.trim().slice(0, 120)}`);
    }
    for (const cut of await cutOffAt(page, path)) found.add(cut);
  });
  expect([...found]).toEqual([]);
});
