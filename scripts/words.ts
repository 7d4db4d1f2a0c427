/** Writes the types of the sentences (key -> values) and the English hazard texts from the English catalogue. `--check` only says whether they are current. */
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
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
const files: Record<string, string> = {
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

export const sentenceCount = ${keys.length};
`,
  'docs/terms.md': termsPage(),
  'words/hazards.en.json': JSON.stringify(
    Object.fromEntries(keys.filter((key) => hazards.has(key)).map((key) => [key, english[key]])),
  ),
};

let stale = false;
for (const [path, text] of Object.entries(files)) {
  const pretty = await format(text, {
    ...(await resolveConfig(at(path))),
    parser: path.endsWith('.json') ? 'json' : path.endsWith('.md') ? 'markdown' : 'typescript',
  });
  if (process.argv.includes('--check')) {
    if (readFileSync(at(path), 'utf8') !== pretty) {
      stale = true;
      process.stderr.write(`${path} is not what the catalogues make; run npm run words.\n`);
    }
  } else writeFileSync(at(path), pretty);
}
process.exitCode = stale ? 1 : 0;
