/** Writes the types of the sentences (key -> values) and the English hazard texts from the English catalogue. `--check` only says whether they are current. */
import { readFileSync, writeFileSync } from 'node:fs';
import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import { format, resolveConfig } from 'prettier';

const at = (path: string) => new URL(`../${path}`, import.meta.url).pathname;
const english = JSON.parse(readFileSync(at('words/en.json'), 'utf8')) as Record<string, string>;

/** Rooms above the core; every other key belongs to the core or the contract, which know the code only. */
const above = /^(view|server|cli)\./;

function valuesOf(elements: readonly MessageFormatElement[], found = new Map<string, string>()): Map<string, string> {
  for (const element of elements) {
    if (element.type === TYPE.argument) found.set(element.value, found.get(element.value) ?? 'SaidValue');
    if (element.type === TYPE.plural || element.type === TYPE.select) {
      found.set(element.value, element.type === TYPE.plural ? 'number' : 'string');
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

/** Sentences that keep somebody from being hurt: of them the English is at hand in every language. */
const hazards = [
  /^plan\.(aluminium-under-argon|stainless-fume|zinc-coating|brazing-wire|overhead-sparks|slag-flies)/,
  /^setup\.(isolate-before|cylinder-chained|argon-and-co2|a-feeding-wire|off-at-the-source|tip-and-nozzle-stay)/,
  /^setup\.(helmet-at|ears-plugged|extraction-|dry-gloves|return-clamp|fire-watch)/,
  /^setup\.(mains-adapters|portable-bottle|a-full-spool|brush-and-grinder|nozzle-products|cored-wires-smoke)/,
  /^setup\.(battery-off|airbags-|fuel-and|return-clamp-beside|stray-current|platform-and|hoses-and-leads|gas-pools|a-second-person|drink-and|two-lift)/,
  /^setup\.(no-fitting-noted|leak-test-is-due|fit-by-its-fitting)/,
  /^view\.library\.chained-capped/,
];
const keys = Object.keys(english).sort();
const files: Record<string, string> = {
  'core/said/keys.ts': `/** Made by \`npm run words\`: the core's sentences and what stands in them. */
import type { SaidValue } from './values.ts';

export interface CoreSentences {
${lines(keys.filter((key) => !above.test(key)))}
}
`,
  'words/keys.ts': `/** Made by \`npm run words\`: every sentence and what stands in it. */
import type { CoreSentences, SaidValue } from '@fox-tempo/core/said';

export interface Sentences extends CoreSentences {
${lines(keys.filter((key) => above.test(key)))}
}

export const sentenceCount = ${keys.length};
`,
  'words/hazards.en.json': JSON.stringify(
    Object.fromEntries(keys.filter((key) => hazards.some((one) => one.test(key))).map((key) => [key, english[key]])),
  ),
};

let stale = false;
for (const [path, text] of Object.entries(files)) {
  const pretty = await format(text, {
    ...(await resolveConfig(at(path))),
    parser: path.endsWith('.json') ? 'json' : 'typescript',
  });
  if (process.argv.includes('--check')) {
    if (readFileSync(at(path), 'utf8') !== pretty) {
      stale = true;
      process.stderr.write(`${path} is not what words/en.json makes; run npm run words.\n`);
    }
  } else writeFileSync(at(path), pretty);
}
process.exitCode = stale ? 1 : 0;
