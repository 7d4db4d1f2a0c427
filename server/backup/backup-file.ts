/**
 * One file with its checksum: a first line with what is in it, then PostgreSQL's own dump. The line begins with its own hash and carries
 * that of the dump, so that a changed byte anywhere is found.
 */
import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { open, rename, rm, stat } from 'node:fs/promises';
import { pipeline } from 'node:stream/promises';
import { z } from 'zod';

const header = z.object({
  format: z.literal('fox-tempo/backup'),
  version: z.literal(1),
  madeAt: z.iso.datetime(),
  shop: z.string(),
  postgres: z.string(),
  migrations: z.int(),
  tables: z.record(z.string(), z.object({ rows: z.int(), digest: z.string() })),
  bytes: z.int(),
  sha256: z.string(),
});
export type BackupHeader = z.infer<typeof header>;

const longestLine = 1024 * 1024;

export class DamagedBackup extends Error {}

export async function hashOfFile(path: string, from = 0): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(path, { start: from }), hash);
  return hash.digest('hex');
}

/** Puts header and dump into `path`, which appears only when it is whole. */
export async function writeBackup(
  path: string,
  dumpPath: string,
  facts: Omit<BackupHeader, 'bytes' | 'sha256'>,
): Promise<void> {
  const { size } = await stat(dumpPath);
  const line = JSON.stringify({ ...facts, bytes: size, sha256: await hashOfFile(dumpPath) });
  const half = `${path}.half`;
  const out = createWriteStream(half, { mode: 0o600 });
  out.write(`${createHash('sha256').update(line).digest('hex')} ${line}\n`);
  await pipeline(createReadStream(dumpPath), out);
  const handle = await open(half);
  await handle.sync();
  await handle.close();
  await rename(half, path);
}

/** The first line, checked; and where the dump begins. */
export async function readHeader(path: string): Promise<{ header: BackupHeader; dumpAt: number }> {
  const handle = await open(path);
  try {
    const { buffer, bytesRead } = await handle.read(Buffer.alloc(longestLine), 0, longestLine, 0);
    const end = buffer.subarray(0, bytesRead).indexOf('\n');
    const text = buffer.toString('utf8', 0, Math.max(end, 0));
    const line = text.slice(65);
    if (end < 0 || text[64] !== ' ' || createHash('sha256').update(line).digest('hex') !== text.slice(0, 64))
      throw new DamagedBackup(`${path} is no Fox Tempo backup, or its first line was changed.`);
    return { header: header.parse(JSON.parse(line)), dumpAt: end + 1 };
  } finally {
    await handle.close();
  }
}

/** Throws where a byte is missing or changed. */
export async function checkBackup(path: string): Promise<{ header: BackupHeader; dumpAt: number }> {
  const read = await readHeader(path);
  const { size } = await stat(path);
  if (size - read.dumpAt !== read.header.bytes)
    throw new DamagedBackup(
      `${path} has ${size - read.dumpAt} bytes of data; ${read.header.bytes} were written. It was cut off or changed.`,
    );
  if ((await hashOfFile(path, read.dumpAt)) !== read.header.sha256)
    throw new DamagedBackup(`The checksum of ${path} does not fit: it was changed or damaged.`);
  return read;
}

/** The dump alone, as PostgreSQL's restore wants it. */
export async function extractDump(path: string, dumpAt: number, to: string): Promise<void> {
  await rm(to, { force: true });
  await pipeline(createReadStream(path, { start: dumpAt }), createWriteStream(to, { mode: 0o600 }));
}
