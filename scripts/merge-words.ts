/** `npm run words:merge -- file.json`: takes a file that an owner exported under Shop, Translations. */
import { readFileSync, writeFileSync } from 'node:fs';
import type { Reviews } from '../words/hazards.ts';
import { mergeReviews, type ReviewFile } from './lib/merge-reviews.ts';

const [path] = process.argv.slice(2);
if (path === undefined) throw new Error('name the file that was exported under Shop, Translations');
const at = (name: string) => new URL(`../words/${name}`, import.meta.url).pathname;
const read = (name: string): unknown => JSON.parse(readFileSync(at(name), 'utf8'));
const catalogue = (name: string) => read(name) as Record<string, string>;
const file = JSON.parse(readFileSync(path, 'utf8')) as ReviewFile;
if (file.format !== 'fox-tempo/words') throw new Error(`${path} is not a file of translations`);

const merged = mergeReviews(
  file,
  catalogue('en.json'),
  catalogue(`${file.language}.json`),
  read('reviewed.json') as Reviews,
  new Set(Object.keys(catalogue('hazards.en.json'))),
);
const write = (name: string, value: unknown) => writeFileSync(at(name), `${JSON.stringify(value, null, 2)}\n`);
write(`${file.language}.json`, merged.catalogue);
write('reviewed.json', merged.reviews);
for (const line of merged.left) process.stderr.write(`left out: ${line}\n`);
process.stdout.write(
  `${file.reviews.length - merged.left.length} texts taken over into words/${file.language}.json.\n`,
);
