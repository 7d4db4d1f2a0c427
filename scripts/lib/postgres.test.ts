/** The private cluster through what can befall its folder. Every case ends with the same row still there. */
import {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { openCluster, removeCluster } from './postgres.mjs';

const folder = mkdtempSync(join(tmpdir(), 'fox-tempo-cluster-'));
chmodSync(folder, 0o755);
const file = (...path: string[]) => join(folder, ...path);
const open = (options: { mend?: boolean } = {}) => openCluster({ folder, throwaway: true, ...options });
const postmaster = () => Number(readFileSync(file('pg', 'postmaster.pid'), 'utf8').split('\n')[0]);

async function rowsKept(options: { mend?: boolean } = {}): Promise<string> {
  const cluster = await open(options);
  const kept = cluster.query('shop', 'select count(*) from bead');
  cluster.stop();
  return kept;
}

beforeAll(async () => {
  const cluster = await open();
  cluster.ensureDatabase('shop');
  cluster.query('shop', 'create table bead (leg float); insert into bead values (3.5), (4)');
  cluster.stop();
}, 60_000);
afterAll(() => {
  removeCluster(folder);
  rmSync(folder, { recursive: true, force: true });
});

describe('a cluster with data in it', () => {
  it('that lost its password is refused and kept, and mended on request', async () => {
    rmSync(file('pg-password'));
    await expect(open()).rejects.toThrow(/pg-password is missing or empty/);
    // What a full disk leaves.
    writeFileSync(file('pg-password'), '');
    await expect(open()).rejects.toThrow(/pg-password is missing or empty.*Nothing was touched[\s\S]*--mend/);
    expect(existsSync(file('pg', 'global', 'pg_control'))).toBe(true);
    expect(await rowsKept({ mend: true })).toBe('2');
    expect(await rowsKept()).toBe('2');
  }, 60_000);

  it('that lost its version file is refused and kept, and mended on request', async () => {
    rmSync(file('pg', 'PG_VERSION'));
    await expect(open()).rejects.toThrow(/PG_VERSION is missing/);
    expect(await rowsKept({ mend: true })).toBe('2');
  }, 60_000);

  it('under a foreign password is refused and kept', async () => {
    const right = readFileSync(file('pg-password'), 'utf8');
    writeFileSync(file('pg-password'), 'somebody-else');
    await expect(open()).rejects.toThrow(/is not the password/);
    writeFileSync(file('pg-password'), right);
    expect(await rowsKept()).toBe('2');
  }, 60_000);

  it('made by another PostgreSQL is refused with the package to install', async () => {
    const own = readFileSync(file('pg', 'PG_VERSION'), 'utf8');
    writeFileSync(file('pg', 'PG_VERSION'), '9\n');
    await expect(open()).rejects.toThrow(/made by PostgreSQL 9; installed is \d+[\s\S]*postgresql-9/);
    writeFileSync(file('pg', 'PG_VERSION'), own);
    expect(await rowsKept()).toBe('2');
  }, 60_000);

  it('works as a role that is no superuser, with checksums on', async () => {
    const cluster = await open();
    expect(cluster.query('shop', "select rolsuper from pg_roles where rolname = 'fox_tempo'")).toBe('f');
    expect(cluster.query('shop', 'show data_checksums')).toBe('on');
    expect(cluster.query('shop', "select tableowner from pg_tables where tablename = 'bead'")).toBe('app');
    cluster.ensureDatabase('shop');
    expect(cluster.query('shop', "select tableowner from pg_tables where tablename = 'bead'")).toBe('fox_tempo');
    cluster.stop();
  }, 60_000);

  it('comes back on the same port after its server was killed', async () => {
    const cluster = await open();
    const { port } = new URL(cluster.url('shop'));
    process.kill(postmaster(), 'SIGKILL');
    for (let wait = 0; wait < 50 && cluster.isAlive(); wait++) await new Promise((done) => setTimeout(done, 20));
    expect(cluster.isAlive()).toBe(false);
    let back = cluster.bringBack();
    for (let wait = 0; wait < 20 && !back; wait++) {
      await new Promise((done) => setTimeout(done, 200));
      back = cluster.bringBack();
    }
    expect(back).toBe(true);
    expect(new URL(cluster.url('shop')).port).toBe(port);
    expect(cluster.query('shop', 'select count(*) from bead')).toBe('2');
    cluster.stop();
  }, 60_000);

  it('is adopted only when it answers', async () => {
    const first = await open();
    expect((await open()).wasRunning).toBe(true);
    // Stopped in its tracks: it holds its files and answers nobody.
    process.kill(postmaster(), 'SIGSTOP');
    const again = await open();
    expect(again.wasRunning).toBe(false);
    expect(again.query('shop', 'select count(*) from bead')).toBe('2');
    again.stop();
    expect(first.isAlive()).toBe(false);
  }, 90_000);
});

it('an initdb that was killed, without any data, is moved aside and made again', async () => {
  const place = mkdtempSync(join(tmpdir(), 'fox-tempo-half-'));
  chmodSync(place, 0o755);
  mkdirSync(join(place, 'pg', 'base'), { recursive: true });
  const cluster = await openCluster({ folder: place, throwaway: true });
  expect(cluster.isNew).toBe(true);
  expect(readdirSync(place).filter((name) => name.startsWith('pg.aside-'))).toHaveLength(1);
  cluster.stop();
  removeCluster(place);
  rmSync(place, { recursive: true, force: true });
}, 60_000);
