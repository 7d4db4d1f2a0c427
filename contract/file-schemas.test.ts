import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { fileSchemas } from './index.ts';

describe('committed schemas', () => {
  it.each(Object.keys(fileSchemas()))('docs/schemas/%s is what the shapes say (npm run schemas)', (kind) => {
    const committed: unknown = JSON.parse(
      readFileSync(new URL(`../docs/schemas/${kind}.schema.json`, import.meta.url), 'utf8'),
    );
    expect(committed).toEqual(JSON.parse(JSON.stringify(fileSchemas()[kind])));
  });
});
