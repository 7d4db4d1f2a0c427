/** Packages of the lock file, installed only when the lock has changed since the last time. */
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root, show } from './run.mjs';
import { Refusal, say } from './say.mjs';

const stampFile = join(root, 'node_modules', '.fox-tempo-lock');

export async function ensurePackages() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    throw new Refusal(`Node ${process.versions.node} is too old; Fox Tempo needs 20.19 or newer.`);
  }
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  if (existsSync(stampFile) && readFileSync(stampFile, 'utf8') === lock) return;
  say('Installing packages (npm ci), a minute or two the first time');
  const code = await show('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  if (code !== 0)
    throw new Refusal('The packages could not be installed; the reason stands above. Is a package registry reachable?');
  writeFileSync(stampFile, lock);
}
