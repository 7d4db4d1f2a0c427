/** What `npm test` leaves out to stay short: every view in every language and by night, all kills of a server, and how well judge and plan do. */
import { join } from 'node:path';
import { ensureBuild } from './lib/build.mjs';
import { ensureChromium } from './lib/chromium.mjs';
import { ensurePackages } from './lib/install.mjs';
import { ensurePostgres } from './lib/postgres.mjs';
import { show } from './lib/run.mjs';
import { endOn, Refusal, say } from './lib/say.mjs';

const env = { ...process.env, FOX_TEMPO_FULL: '1' };

async function step(name, file, args) {
  say(name);
  const began = Date.now();
  if ((await show(process.execPath, [...args.before, join('node_modules', file), ...args.after], { env })) !== 0)
    throw new Refusal(`${name}: failed; what it found stands above.`);
  console.log(`${name}: ${((Date.now() - began) / 1000).toFixed(0)} s`);
}

const script = (path) => ({ before: [], after: [path] });

async function main() {
  await ensurePackages();
  await ensurePostgres();
  await ensureChromium();
  await ensureBuild();
  await step('Judge on simulated welds', 'tsx/dist/cli.mjs', script('scripts/judge.ts'));
  await step('Plan against ordinary practice', 'tsx/dist/cli.mjs', script('scripts/practice.ts'));
  await step('All kills of a server', 'jest/bin/jest.js', {
    before: ['--experimental-vm-modules', '--disable-warning=ExperimentalWarning'],
    after: ['--selectProjects', 'server', '--testPathPatterns', 'server/killed-save'],
  });
  await step('Every view in every language, by day and by night', '@playwright/test/cli.js', {
    before: [],
    after: ['test', '--reporter=list', 'e2e/languages.spec.ts', 'e2e/accessibility.spec.ts'],
  });
}

main().catch(endOn);
