import { describe, expect, it } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { issueCodes } from './codes.ts';

/** Sources that may say a code; tests and the table itself do not count. */
function sources(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return entry.name === 'node_modules' || entry.name === 'dist' ? [] : sources(path);
    return /\.tsx?$/.test(entry.name) && !/\.test\.|codes\.ts$/.test(entry.name) ? [path] : [];
  });
}
const said = ['core', 'contract', 'server', 'cli', 'web/src']
  .flatMap(sources)
  .map((path) => readFileSync(path, 'utf8'));

describe('the table of issue codes', () => {
  it('holds no code that nobody says any more', () => {
    const unsaid = Object.keys(issueCodes).filter((code) => !said.some((text) => text.includes(`'${code}'`)));
    expect(unsaid).toEqual([]);
  });

  it('writes them all alike, and says of each what its limit is, or that there is none', () => {
    for (const [code, limit] of Object.entries(issueCodes)) {
      expect(code).toMatch(/^[a-z]+(-[a-z0-9]+)*$/);
      expect(limit === null || limit.length > 5).toBe(true);
    }
  });
});
