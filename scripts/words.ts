/**
 * Writes what follows from the catalogues: the types of the sentences (key -> values), which no repository needs; and, committed, the English
 * hazard texts, what no catalogue has yet, and the page of terms. `--check` writes the types and says whether the rest is current.
 */
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import { format, resolveConfig } from 'prettier';
import { languages } from '../words/languages.ts';
import { notSaid } from '../words/not-said.ts';
import { terms } from '../words/terms.ts';

const at = (path: string) => new URL(`../${path}`, import.meta.url).pathname;
const english = JSON.parse(readFileSync(at('words/en.json'), 'utf8')) as Record<string, string>;

/** Rooms above the core; every other key belongs to the core or the contract, which know the code only. */
const above = /^(view|server|cli)\./;

function valuesOf(elements: readonly MessageFormatElement[], found = new Map<string, string>()): Map<string, string> {
  for (const element of elements) {
    if (element.type === TYPE.argument && found.get(element.value) !== 'number') found.set(element.value, 'SaidValue');
    if (element.type === TYPE.plural || element.type === TYPE.select) {
      const inside = found.get(element.value);
      if (element.type === TYPE.plural) found.set(element.value, 'number');
      // What is only chosen by, and not shown, is one of the named choices.
      else if (inside === undefined)
        found.set(
          element.value,
          Object.keys(element.options)
            .map((option) => `'${option === 'other' && 'absent' in element.options ? 'yes' : option}'`)
            .sort()
            .join(' | '),
        );
      for (const option of Object.values(element.options)) valuesOf(option.value, found);
    }
  }
  return found;
}

function lines(keys: readonly string[]): string {
  return keys
    .map((key) => {
      const values = [...valuesOf(parse(english[key] ?? '', { ignoreTag: true }))].sort(([a], [b]) => (a < b ? -1 : 1));
      const type =
        values.length === 0 ? 'null' : `{ ${values.map(([name, kind]) => `readonly ${name}: ${kind}`).join('; ')} }`;
      return `  readonly '${key}': ${type};`;
    })
    .join('\n');
}

/** Keys that the code says as hazards: of them the English is at hand in every language. */
function hazardKeys(): ReadonlySet<string> {
  const code = ['core', 'server', 'web/src', 'contract', 'cli'].flatMap((folder) =>
    readdirSync(at(folder), { recursive: true, encoding: 'utf8' })
      .filter((name) => /\.tsx?$/.test(name) && !name.includes('node_modules') && !/\.test\.tsx?$/.test(name))
      .map((name) => readFileSync(at(`${folder}/${name}`), 'utf8')),
  );
  return new Set(code.flatMap((text) => [...text.matchAll(/\bhazard\(\s*'([^']+)'/g)].map(([, key = '']) => key)));
}

const hazards = hazardKeys();
const catalogues = Object.fromEntries(
  languages.map((language) => [
    language,
    JSON.parse(readFileSync(at(`words/${language}.json`), 'utf8')) as Record<string, string>,
  ]),
);

/** A pattern as a reader sees the word that it means. */
function plainly(pattern: string): string {
  return pattern.replaceAll(/\\w[+*]/g, '…').replaceAll(/\(\?[^)]*\)|\?|\[[^\]]*\]/g, '');
}

/** Terms with their standards, their words in every language, and what is not said for them. */
function termsPage(): string {
  const cell = (text: string | undefined) => (text ?? '').replaceAll('|', '\\|');
  const rows = terms.map(({ id, standard }) =>
    [...languages.map((language) => catalogues[language]?.[`view.term.${id}`]), standard].map(cell).join(' | '),
  );
  const meanings = terms.map(
    ({ id }) => `- **${english[`view.term.${id}`] ?? ''}**: ${english[`view.term.${id}-means`] ?? ''}.`,
  );
  const not = Object.entries(notSaid).map(([id, patterns]) => {
    const each = Object.entries(patterns).map(
      ([language, words]) => `${language}: ${words.map((word) => plainly(word)).join(', ')}`,
    );
    return `- ${english[`view.term.${id}`] ?? ''}: ${each.join('; ')}`;
  });
  return `# Terms

Made by \`npm run words\` from words/terms.ts, words/not-said.ts and the catalogues; the glossary of the application (F1) shows the same.
One word per idea in each language. A test refuses the words of the last list in any catalogue.

| ${languages.join(' | ')} | standard |
|${' --- |'.repeat(languages.length + 1)}
${rows.map((row) => `| ${row} |`).join('\n')}

## What they mean

${meanings.join('\n')}

## Not used

${not.join('\n')}
`;
}

const keys = Object.keys(english).sort();
const types: Record<string, string> = {
  'core/base/messages/keys.ts': `/** Made by \`npm run words\`: the core's sentences and what stands in them. */
import type { SaidValue } from './values.ts';

export interface CoreSentences {
${lines(keys.filter((key) => !above.test(key)))}
}
`,
  'words/keys.ts': `/** Made by \`npm run words\`: every sentence and what stands in it. */
import type { CoreSentences, SaidValue } from '@fox-tempo/core/base/messages';

export interface Sentences extends CoreSentences {
${lines(keys.filter((key) => above.test(key)))}
}
`,
};
/** By language: sentences that are said in English until somebody translates them. */
const untranslated = Object.fromEntries(
  languages.map((language) => [language, keys.filter((key) => !Object.hasOwn(catalogues[language] ?? {}, key))]),
);
const committed: Record<string, string> = {
  'docs/terms.md': termsPage(),
  'words/untranslated.json': JSON.stringify(untranslated),
  'words/hazards.en.json': JSON.stringify(
    Object.fromEntries(keys.filter((key) => hazards.has(key)).map((key) => [key, english[key]])),
  ),
};

let stale = false;
for (const [path, text] of Object.entries(types)) {
  if (!existsSync(at(path)) || readFileSync(at(path), 'utf8') !== text) writeFileSync(at(path), text);
}
for (const [path, text] of Object.entries(committed)) {
  const pretty = await format(text, {
    ...(await resolveConfig(at(path))),
    parser: path.endsWith('.json') ? 'json' : 'markdown',
  });
  if (!process.argv.includes('--check')) writeFileSync(at(path), pretty);
  else if (readFileSync(at(path), 'utf8') !== pretty) {
    stale = true;
    process.stderr.write(`${path} is not what the catalogues make; run npm run words.\n`);
  }
}
const waiting = Object.entries(untranslated).filter(([, missing]) => missing.length > 0);
for (const [language, missing] of waiting)
  process.stdout.write(`${language}: ${missing.length} sentences to translate\n`);
process.exitCode = stale ? 1 : 0;
