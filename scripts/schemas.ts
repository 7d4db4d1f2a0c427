/** Writes the JSON Schemas of the open files to docs/schemas, and examples of them to docs/examples. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { exampleFiles, fileSchemas } from '@fox-tempo/contract';

function write(folder: string, ending: string, files: Record<string, unknown>): void {
  const at = fileURLToPath(new URL(`../docs/${folder}/`, import.meta.url));
  mkdirSync(at, { recursive: true });
  for (const [name, content] of Object.entries(files)) {
    writeFileSync(`${at}${name}${ending}`, `${JSON.stringify(content, null, 2)}\n`);
  }
}

write('schemas', '.schema.json', fileSchemas());
write('examples', '.tempo.json', exampleFiles());
