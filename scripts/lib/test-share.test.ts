import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { afterEach, describe, expect, it } from '@jest/globals';
import { isTest, testShare } from './test-share.mjs';

const root = mkdtempSync(join(tmpdir(), 'fox-tempo-share-'));
afterEach(() => rmSync(root, { recursive: true, force: true }));

describe('the share of tests', () => {
  it('counts lines with something on them, of what was written by hand', () => {
    const files = {
      'core/arc.ts': 'one\n\n  \ntwo\nthree\n',
      'core/arc.test.ts': 'four\n',
      'e2e/driver.ts': 'five\nsix\n',
      'words/keys.ts': 'made\n',
      'node_modules/other/index.js': 'foreign\n',
      '.cache/bundle.mjs': 'made\n',
      'web/dist/app.js': 'made\n',
      'README.md': 'words\n',
    };
    for (const [name, text] of Object.entries(files)) {
      mkdirSync(dirname(join(root, name)), { recursive: true });
      writeFileSync(join(root, name), text);
    }
    expect(testShare(root)).toEqual({ tests: 3, all: 6 });
  });

  it.each([
    ['server/testing/test-app.ts', true],
    ['web/src/ui/record-table.test.tsx', true],
    ['jest.config.mjs', true],
    ['core/evidence/trial/measured.ts', false],
    ['core/weld/latest.ts', false],
  ])('takes %s for a test: %s', (path, is) => {
    expect(isTest(path)).toBe(is);
  });
});
