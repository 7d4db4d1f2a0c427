import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { exampleFiles, fileSchemas, readMachineFile, readProgramFile } from '../index.ts';

describe('committed schemas', () => {
  it.each(Object.keys(fileSchemas()))('docs/schemas/%s is what the shapes say (npm run schemas)', (kind) => {
    const committed: unknown = JSON.parse(
      readFileSync(new URL(`../../docs/schemas/${kind}.schema.json`, import.meta.url), 'utf8'),
    );
    expect(committed).toEqual(JSON.parse(JSON.stringify(fileSchemas()[kind])));
  });
});

describe('committed examples', () => {
  it.each(Object.keys(exampleFiles()))('docs/examples/%s can be read, and is what the core describes', (name) => {
    const committed: unknown = JSON.parse(
      readFileSync(new URL(`../../docs/examples/${name}.tempo.json`, import.meta.url), 'utf8'),
    );
    expect(committed).toEqual(JSON.parse(JSON.stringify(exampleFiles()[name])));
    const { format } = committed as { format: string };
    const read = format === 'fox-tempo/program' ? readProgramFile(committed) : readMachineFile(committed);
    expect(read.ok).toBe(true);
  });
});
