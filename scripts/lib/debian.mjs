/** Debian packages that the application needs: installed where that is allowed, else the one command to run is said. */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { show } from './run.mjs';
import { Refusal, say } from './say.mjs';

export async function ensureDebianPackage(name, isThere, purpose) {
  if (isThere()) return;
  const isRoot = process.getuid?.() === 0;
  const maySudo = !isRoot && spawnSync('sudo', ['-n', 'true']).status === 0;
  const hasApt = existsSync('/usr/bin/apt-get');
  const command = `sudo apt-get update && sudo apt-get install -y --no-install-recommends ${name}`;
  if (!hasApt || (!isRoot && !maySudo)) {
    throw new Refusal(`${purpose} is missing. Install it once with:\n\n    ${command}\n`);
  }
  say(`Installing ${name} from Debian's packages (${purpose.toLowerCase()})`);
  const prefix = isRoot ? [] : ['sudo', '-n', '-E'];
  const run = (args) => {
    const [first, ...rest] = [...prefix, ...args];
    return show(first, rest, {
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      stdio: ['ignore', 'ignore', 'inherit'],
    });
  };
  if (name === 'postgresql' && isRoot) keepFromMakingSystemCluster();
  const updated = await run(['apt-get', 'update', '-qq']);
  const installed =
    updated === 0 ? await run(['apt-get', 'install', '-y', '-qq', '--no-install-recommends', name]) : updated;
  if (installed !== 0 || !isThere())
    throw new Refusal(`${name} could not be installed. Try it by hand:\n\n    ${command}\n`);
}

/** Debian would make and start a cluster on 5432 of its own; Fox Tempo has no use for it. */
function keepFromMakingSystemCluster() {
  const folder = '/etc/postgresql-common/createcluster.d';
  const file = `${folder}/fox-tempo.conf`;
  if (existsSync('/usr/share/postgresql-common') || existsSync(file)) return;
  mkdirSync(folder, { recursive: true });
  writeFileSync(file, 'create_main_cluster = false\n');
}
