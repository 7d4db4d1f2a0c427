/** Writes what docs say of the contract: JSON Schemas of the open files, examples of them, and the page of errors. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { exampleFiles, fileSchemas } from '@fox-tempo/contract';
import { errorsPage } from './lib/errors-page.ts';

function write(folder: string, ending: string, files: Record<string, unknown>): void {
  const at = fileURLToPath(new URL(`../docs/${folder}/`, import.meta.url));
  mkdirSync(at, { recursive: true });
  for (const [name, content] of Object.entries(files)) {
    writeFileSync(`${at}${name}${ending}`, `${JSON.stringify(content, null, 2)}\n`);
  }
}

write('schemas', '.schema.json', fileSchemas());
write('examples', '.tempo.json', exampleFiles());
writeFileSync(fileURLToPath(new URL('../docs/errors.md', import.meta.url)), errorsPage());
