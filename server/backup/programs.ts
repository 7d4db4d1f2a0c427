/** PostgreSQL's own dump and restore, the newest that is installed: they read every server that is not newer. */
import { spawn } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

const debianRoot = '/usr/lib/postgresql';

function programPath(name: 'pg_dump' | 'pg_restore'): string {
  const versions = existsSync(debianRoot) ? readdirSync(debianRoot).sort((a, b) => Number(b) - Number(a)) : [];
  const found = versions.map((version) => join(debianRoot, version, 'bin', name)).find((path) => existsSync(path));
  return found ?? name;
}

/** Runs one of them; the connection goes by environment, so that no password shows in a list of processes. */
export function runPostgres(
  name: 'pg_dump' | 'pg_restore',
  url: string | undefined,
  args: readonly string[],
  signal?: AbortSignal,
): Promise<string> {
  return new Promise((resolve, reject) => {
    const child = spawn(programPath(name), [...args], {
      env: { ...process.env, ...(url === undefined ? {} : connectionOf(url)) },
      stdio: ['ignore', 'pipe', 'pipe'],
      ...(signal ? { signal } : {}),
    });
    let said = '';
    let trouble = '';
    child.stdout.on('data', (chunk: Buffer) => (said += chunk.toString()));
    child.stderr.on('data', (chunk: Buffer) => (trouble += chunk.toString()));
    child.once('error', (error) => reject(new Error(`${name} could not be run: ${error.message}`)));
    child.once('exit', (code) =>
      code === 0
        ? resolve(said)
        : reject(new Error(`${name} ended with ${code ?? 'a signal'}: ${trouble.slice(-600)}`)),
    );
  });
}

function connectionOf(url: string): Record<string, string> {
  const { hostname, port, username, password, pathname, searchParams } = new URL(url);
  const sslMode = searchParams.get('sslmode');
  return {
    PGHOST: hostname.replace(/^\[|\]$/g, ''),
    PGPORT: port || '5432',
    PGUSER: decodeURIComponent(username),
    PGPASSWORD: decodeURIComponent(password),
    PGDATABASE: decodeURIComponent(pathname.slice(1)),
    PGCONNECT_TIMEOUT: '10',
    ...(sslMode === null ? {} : { PGSSLMODE: sslMode }),
  };
}
