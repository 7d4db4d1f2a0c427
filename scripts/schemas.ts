/** Writes the JSON Schemas of the open files to docs/schemas. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { fileSchemas } from '@fox-tempo/contract';

const folder = fileURLToPath(new URL('../docs/schemas/', import.meta.url));
mkdirSync(folder, { recursive: true });
for (const [kind, schema] of Object.entries(fileSchemas())) {
  writeFileSync(`${folder}${kind}.schema.json`, `${JSON.stringify(schema, null, 2)}\n`);
}
