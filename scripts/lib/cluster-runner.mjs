/**
 * Runs PostgreSQL's programs as whoever may. `initdb` and `postgres` refuse to run as root, so root hands the work to the postgres user;
 * where that user cannot reach the folder (a clone under a closed home), a user namespace stands in and the files stay root's.
 */
import { spawnSync } from 'node:child_process';
import { chownSync, existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { capture } from './run.mjs';
import { Refusal } from './say.mjs';

/** A function like `spawnSync(command, args)` with `own(path)` to hand a path to the user it runs as. */
export function clusterRunner(folder, data) {
  const base = { encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'], timeout: 120_000 };
  const me = process.getuid();
  if (me !== 0) {
    if (existsSync(data) && statSync(data).uid !== me) {
      throw new Refusal(`${data} belongs to another user; start Fox Tempo as that user, or remove the folder.`);
    }
    return Object.assign(
      (command, args, options = {}) => spawnSync(command, args, { ...base, cwd: folder, ...options }),
      { own() {} },
    );
  }
  const uid = Number(capture('id', ['-u', 'postgres']));
  const gid = Number(capture('id', ['-g', 'postgres']));
  const asPostgres = (command, args, options = {}) =>
    spawnSync(command, args, { ...base, cwd: '/', uid, gid, ...options });
  // A cluster is always run the way it was made: by its owner.
  const madeByNamespace = existsSync(join(data, 'global')) && statSync(data).uid === 0;
  if (!madeByNamespace && asPostgres('test', ['-x', folder]).status === 0) {
    return Object.assign(asPostgres, { own: (path) => chownSync(path, uid, gid) });
  }
  const mapped = ['--user', '--map-user=postgres', '--map-group=postgres', '--'];
  return Object.assign(
    (command, args, options = {}) =>
      spawnSync('unshare', [...mapped, command, ...args], { ...base, cwd: folder, ...options }),
    { own() {} },
  );
}
