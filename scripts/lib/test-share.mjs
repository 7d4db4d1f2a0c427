/** How much of what was written by hand are tests: lines that are not empty, of TypeScript and JavaScript, without what a program wrote. */
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative, sep } from 'node:path';

const skipped = new Set(['node_modules', 'dist', 'data', 'drizzle', 'test-results', 'playwright-report', 'docs']);
const isCode = (name) => /\.(?:ts|tsx|mjs|cjs|js)$/.test(name) && !name.endsWith('.d.ts');
/** Written by `npm run words`. */
const written = new Set(['core/base/messages/keys.ts', 'words/keys.ts']);

/** Unit and server tests, journeys, and what only they use. */
export const isTest = (path) =>
  /\.(?:test|spec)\.tsx?$/.test(path) || /(?:^|\/)(?:e2e|testing)\//.test(path) || /^jest\.|^playwright\./.test(path);

/** @param {string} root Folder of the project. @returns {{ tests: number, all: number }} Lines. */
export function testShare(root) {
  const count = { tests: 0, all: 0 };
  const walk = (folder) => {
    for (const entry of readdirSync(folder, { withFileTypes: true })) {
      if (entry.name.startsWith('.') || skipped.has(entry.name)) continue;
      const path = join(folder, entry.name);
      if (entry.isDirectory()) walk(path);
      else if (isCode(entry.name)) {
        const name = relative(root, path).split(sep).join('/');
        if (written.has(name)) continue;
        const lines = readFileSync(path, 'utf8')
          .split('\n')
          .filter((line) => line.trim() !== '').length;
        count.all += lines;
        if (isTest(name)) count.tests += lines;
      }
    }
  };
  walk(root);
  return count;
}
