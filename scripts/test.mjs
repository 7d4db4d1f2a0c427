/**
 * Everything, from a fresh clone: packages, PostgreSQL, Chromium; then types, unit and server tests with format, lint, layers and dead code
 * beside them, build, journeys. Stops at the first step that fails. Ends with a table of times and one line of counts.
 */
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuild } from './lib/build.mjs';
import { ensureChromium } from './lib/chromium.mjs';
import { ensurePackages } from './lib/install.mjs';
import { ensurePostgres } from './lib/postgres.mjs';
import { collect, show } from './lib/run.mjs';
import { endOn, Refusal, say } from './lib/say.mjs';
import { testShare } from './lib/test-share.mjs';

const tool = (path) => join('node_modules', path);
const scratch = mkdtempSync(join(tmpdir(), 'fox-tempo-run-'));
const counts = { passed: 0, failed: 0, skipped: 0 };
/** Seconds by step, in the order they ended. */
const times = [];

async function timed(name, act) {
  const began = Date.now();
  try {
    return await act();
  } finally {
    times.push([name, (Date.now() - began) / 1000]);
  }
}

/** A check that prints only when it finds something. */
async function check(name, file, args) {
  const { code, output } = await timed(name, () => collect(process.execPath, [tool(file), ...args]));
  if (code !== 0) throw new Refusal(`${output}\n${name} found something; it stands above.`);
  say(`${name}: clean`);
}

async function unit() {
  say('Unit and server tests');
  const report = join(scratch, 'unit.json');
  const code = await show(process.execPath, [
    '--experimental-vm-modules',
    '--disable-warning=ExperimentalWarning',
    tool('jest/bin/jest.js'),
    '--json',
    `--outputFile=${report}`,
  ]);
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(readFileSync(report, 'utf8'));
  counts.passed += numPassedTests;
  counts.failed += numFailedTests + numRuntimeErrorTestSuites;
  if (code !== 0) throw new Refusal('Unit tests failed.');
}

async function journeys() {
  say('Journeys in headless Chromium, through the real start-up');
  const report = join(scratch, 'journeys.json');
  const code = await show(process.execPath, [tool('@playwright/test/cli.js'), 'test'], {
    env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: report },
  });
  const { expected, unexpected, flaky, skipped } = JSON.parse(readFileSync(report, 'utf8')).stats;
  counts.passed += expected + flaky;
  counts.failed += unexpected;
  counts.skipped += skipped;
  if (code !== 0) throw new Refusal('Journeys failed.');
}

async function main() {
  await timed('Packages', ensurePackages);
  await timed('PostgreSQL', ensurePostgres);
  await timed('Chromium', ensureChromium);
  // First: it writes the types of the sentences, without which nothing compiles.
  await check('Words', 'tsx/dist/cli.mjs', ['scripts/words.ts', '--check']);
  // What reads sources and nothing else runs beside the tests; a test that waits leaves it the core.
  const beside = (async () => {
    await check('Format', 'prettier/bin/prettier.cjs', ['--check', '--log-level', 'warn', '.']);
    await check('Lint', 'eslint/bin/eslint.js', ['--cache', '--cache-location', 'node_modules/.cache/eslint/', '.']);
    await check('Lint by types', 'oxlint/bin/oxlint', ['--type-aware', '--quiet']);
    await check('Layers', 'dependency-cruiser/bin/dependency-cruise.mjs', [
      '--config',
      '.dependency-cruiser.cjs',
      'core',
      'words',
      'contract',
      'server',
      'web/src',
      'cli',
    ]);
    await check('Dead code', 'knip/bin/knip.js', ['--no-progress']);
    await check('Migrations', 'drizzle-kit/bin.cjs', ['check', '--config', 'server/drizzle.config.ts']);
  })();
  // Awaited below; until then a finding must not count as one that nobody caught.
  beside.catch(() => undefined);
  await check('Types', 'typescript7/bin/tsc', ['-b']);
  await timed('Unit and server tests', unit);
  await timed('Build', ensureBuild);
  await beside;
  await timed('Journeys', journeys);
}

main()
  .catch(endOn)
  .finally(() => {
    rmSync(scratch, { recursive: true, force: true });
    if (process.exitCode && counts.failed === 0) counts.failed = 1;
    say('Done');
    for (const [name, seconds] of times) console.log(`${name.padEnd(24)}${seconds.toFixed(0).padStart(5)} s`);
    const { tests, all } = testShare('.');
    console.log(`Tests are ${((100 * tests) / all).toFixed(1)} % of ${all} lines written by hand`);
    if (counts.skipped > 0) console.log(`${counts.skipped} left to npm run check:all`);
    console.log(`${counts.passed} passed, ${counts.failed} failed`);
  });
