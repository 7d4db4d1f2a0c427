/** Builds the interface when its sources have changed since the last build. */
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { collect, root } from './run.mjs';
import { Refusal, say } from './say.mjs';

const stampFile = join(root, 'web', 'dist', '.sources');
const inputs = ['core', 'words', 'contract', 'web', 'package-lock.json'];
const skipped = new Set(['node_modules', 'dist']);

export async function ensureBuild() {
  const sources = fingerprint();
  if (existsSync(stampFile) && readFileSync(stampFile, 'utf8') === sources) return;
  say('Building the interface');
  const { code, output } = await collect('node', [
    'node_modules/vite/bin/vite.js',
    'build',
    'web',
    '--logLevel',
    'warn',
  ]);
  if (code !== 0) throw new Refusal(`The interface could not be built:\n${output}`);
  writeFileSync(stampFile, sources);
}

function fingerprint() {
  const hash = createHash('sha256');
  const visit = (path) => {
    const stat = statSync(path);
    if (stat.isDirectory()) {
      for (const name of readdirSync(path).sort()) if (!skipped.has(name)) visit(join(path, name));
    } else if (!path.endsWith('.test.ts') && !path.endsWith('.test.tsx')) {
      hash.update(path.slice(root.length)).update(readFileSync(path));
    }
  };
  for (const name of inputs) visit(join(root, name));
  return hash.digest('hex');
}
