/** What lies in the folder of a cluster, judged before anything is touched: nothing that could be data is ever deleted. */
import { existsSync, readdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Refusal } from './say.mjs';

/** Names below the folder: the cluster, one in the making, its log, and the superuser's password. */
export function clusterPaths(folder) {
  return {
    data: join(folder, 'pg'),
    making: join(folder, 'pg.making'),
    logFolder: join(folder, 'pg-log'),
    log: join(folder, 'pg-log', 'postgres.log'),
    passwordFile: join(folder, 'pg-password'),
  };
}

/**
 * `none`: nothing there, make one. `whole`: start it. `half-made`: an initdb of an older Fox Tempo was killed, nothing in it was ever used.
 * `no-version` and `no-password`: a cluster with data in it that lost a file; it is refused, never replaced.
 */
export function judgeFolder(folder) {
  const { data, passwordFile } = clusterPaths(folder);
  if (!existsSync(data) || readdirSync(data).length === 0) return 'none';
  const hasVersion = existsSync(join(data, 'PG_VERSION'));
  // Written last of what makes a cluster hold data: without it there is no database to lose.
  const hasControl = existsSync(join(data, 'global', 'pg_control'));
  if (!hasVersion && !hasControl) return 'half-made';
  if (!hasVersion) return 'no-version';
  // An empty file is as good as none: a full disk leaves one.
  return existsSync(passwordFile) && readFileSync(passwordFile, 'utf8').trim() !== '' ? 'whole' : 'no-password';
}

/** Throws what a person can do about a cluster that lost a file. */
export function refuseDamaged(folder, state) {
  const { data, passwordFile } = clusterPaths(folder);
  const lost = state === 'no-password' ? passwordFile : join(data, 'PG_VERSION');
  throw new Refusal(
    `${lost} is missing or empty, but ${data} holds a shop's data. Nothing was touched.\n` +
      'Put the file back from a copy, or let Fox Tempo write a new one (the data stay):\n\n    npm start -- --mend\n',
  );
}

/** Major version that made the cluster, for instance 15. */
export function majorOf(data) {
  return readFileSync(join(data, 'PG_VERSION'), 'utf8').trim();
}

/** Renames a folder out of the way; the name says when. Returns the new place. */
export function moveAside(path) {
  const aside = `${path}.aside-${new Date().toISOString().replace(/[:.]/g, '-')}`;
  renameSync(path, aside);
  return aside;
}

/** Writes the version file again; `major` is that of the server whose control file this is. */
export function writeVersion(data, major) {
  writeFileSync(join(data, 'PG_VERSION'), `${major}\n`, { mode: 0o600 });
}
