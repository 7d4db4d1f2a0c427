/** Words whose every sentence is marked, and what of a page stands outside the marks: it came from no catalogue. */
import { quantities } from '@fox-tempo/core/base/units';
import { makeWords, type Words } from '@fox-tempo/words';
import english from '../../words/en.json' with { type: 'json' };

export const marked: Words = makeWords(
  Object.fromEntries(Object.entries(english).map(([key, pattern]) => [key, `⟦${pattern}⟧`])),
  'en',
  'metric',
);

const units = Object.values(quantities).map(({ metric }) => metric.label);

/** Texts of `page` with a word that is neither marked nor in `data`, nor a unit or a designation of a standard. */
export function outsideMarks(page: unknown, data: unknown): string[] {
  const known = new Set<string>();
  strings(data, (text) => known.add(plain(text)));
  const longFirst = [...known, ...units, 'ISO', 'AWS'].filter((one) => one !== '').sort((a, b) => b.length - a.length);
  const found: string[] = [];
  texts(page, (text) => {
    const left = longFirst.reduce((rest, one) => rest.replaceAll(one, ' '), plain(unmarked(text)));
    if (/\p{L}{3}/u.test(left)) found.push(text);
  });
  return found;
}

/** Every string of an answer. */
function strings(value: unknown, take: (text: string) => void): void {
  if (typeof value === 'string') take(value);
  else if (Array.isArray(value)) for (const one of value) strings(one, take);
  else if (typeof value === 'object' && value !== null) for (const one of Object.values(value)) strings(one, take);
}

/** Every text of a page: what stands in its `text`, and rows of a table that are bare strings. */
function texts(node: unknown, take: (text: string) => void): void {
  if (typeof node === 'string') take(node);
  else if (Array.isArray(node)) for (const one of node) texts(one, take);
  else if (typeof node === 'object' && node !== null)
    for (const part of ['content', 'text', 'stack', 'columns', 'table', 'body', 'ul', 'ol'])
      if (part in node) texts((node as Record<string, unknown>)[part], take);
}

function unmarked(text: string): string {
  let depth = 0;
  let left = '';
  for (const letter of text) {
    if (letter === '⟦') depth++;
    else if (letter === '⟧') depth--;
    else if (depth === 0) left += letter;
  }
  return left;
}

/** Designations of standards and grades have a digit in each word. */
const plain = (text: string) =>
  text
    .replaceAll(/[\p{L}\d.+-]*\d[\p{L}\d.+-]*/gu, ' ')
    .replaceAll(/\s+/g, ' ')
    .trim();
