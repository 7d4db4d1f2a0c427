/**
 * How many small faults the tests notice: `npm run mutants -- [count] [seed]`. Faults are drawn from core and server by a seed and put, one at a time,
 * into a copy of what is committed; a fault that no related test of its project notices is listed. Ends with code 1 under 80 %.
 */
import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chanceOf } from '@fox-tempo/core/weld/stand-in';
import { ensurePostgres } from './lib/postgres.mjs';
import { mutantsOf } from './lib/mutate.ts';

const asked = 0.8;
const [count = 400, seed = 1] = process.argv.slice(2).map(Number);
const root = process.cwd();
const copy = mkdtempSync(join(tmpdir(), 'fox-tempo-mutants-'));

/** Computing and rules; demo data and what stands in for an outside device are not worth a fault. */
const files = execFileSync('git', ['ls-files', 'core', 'server/modules', 'server/http'], { encoding: 'utf8' })
  .split('\n')
  .filter((name) => name.endsWith('.ts') && !/\.test\.ts$|\/scenarios\/|\/index\.ts$|usual-/.test(name));

function related(name: string): 'noticed' | 'missed' {
  const { status } = spawnSync(
    process.execPath,
    [
      '--experimental-vm-modules',
      '--disable-warning=ExperimentalWarning',
      'node_modules/jest/bin/jest.js',
      ...['--selectProjects', name.startsWith('core') ? 'core' : 'server', '--bail', '--silent'],
      ...['--findRelatedTests', name, '--passWithNoTests'],
    ],
    // A fault may make a loop endless; a run that does not end is a fault noticed.
    { cwd: copy, stdio: 'ignore', timeout: 240_000 },
  );
  return status === 0 ? 'missed' : 'noticed';
}

await ensurePostgres();
try {
  execFileSync('sh', ['-c', `git archive HEAD | tar -x -C "$1" && cp -al node_modules "$1"`, 'sh', copy], {
    cwd: root,
  });
  // Made, not kept: types of the sentences and the library as one file.
  execFileSync(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'scripts/words.ts', '--check'], { cwd: copy });
  const places = files.flatMap((name) =>
    mutantsOf(name, readFileSync(join(copy, name), 'utf8')).map((mutant) => ({ name, ...mutant })),
  );
  const chance = chanceOf(seed);
  let noticed = 0;
  for (let n = 1; n <= count; n++) {
    const drawn = places[Math.floor(chance.uniform() * places.length)];
    if (!drawn) break;
    const path = join(copy, drawn.name);
    const whole = readFileSync(path, 'utf8');
    writeFileSync(path, drawn.text);
    const end = related(drawn.name);
    writeFileSync(path, whole);
    if (end === 'noticed') noticed++;
    else console.log(`missed  ${drawn.name}:${drawn.line}  ${drawn.was} -> ${drawn.now}`);
    if (n % 20 === 0) console.log(`${noticed} of ${n} noticed`);
  }
  console.log(
    `${noticed} of ${count} faults noticed, of ${places.length} possible (seed ${seed}; asked ${asked * 100} %)`,
  );
  process.exitCode = noticed >= asked * count ? 0 : 1;
} finally {
  rmSync(copy, { recursive: true, force: true });
}
