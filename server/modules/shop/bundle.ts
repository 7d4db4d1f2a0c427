/** The shop as an open file, out and in. What comes in is checked whole first; with one refusal nothing is written. */
import { message } from '@fox-tempo/words';
import { randomUUID } from 'node:crypto';
import {
  readBundle,
  readMachineFile,
  readSeamFile,
  type Bundle,
  type ImportReport,
  type ProgramChoice,
  type SeamSpec,
} from '@fox-tempo/contract';
import type { Issue, Outcome } from '@fox-tempo/core/base/outcome';
import type { Database } from '../../db/connection.ts';
import type { Handlers } from '../../http/endpoints.ts';
import { invalidInput, orProblem } from '../../http/problem.ts';
import type { SignedIn } from '../session/index.ts';
import { listMachines, nameTaken, createMachine } from '../machines/index.ts';
import { findPartByName, insertPart, listParts, requirePart } from '../parts/index.ts';
import { listSeams, seamsOfPart, createSeam, saveSeam } from '../seams/index.ts';
import { readShop } from './repo.ts';

/** Everything in one answer: lists are read page by page. */
async function everything<T>(
  read: (page: {
    limit: number;
    after: readonly [string, string] | undefined;
  }) => Promise<{ items: T[]; next: string | null }>,
): Promise<T[]> {
  const items: T[] = [];
  for (let after: readonly [string, string] | undefined, more = true; more;) {
    const page = await read({ limit: 200, after });
    items.push(...page.items);
    more = page.next !== null;
    if (page.next !== null)
      after = JSON.parse(Buffer.from(page.next, 'base64url').toString('utf8')) as [string, string];
  }
  return items;
}

async function exported(db: Database): Promise<Bundle> {
  const { name } = await readShop(db);
  const parts = await everything((page) => listParts(db, page));
  const seams = await everything((page) => listSeams(db, page));
  const machines = await everything((page) => listMachines(db, page));
  return {
    format: 'fox-tempo/shop',
    version: 1,
    name,
    parts: parts.map(({ name: partName, about }) => ({ name: partName, about })),
    seams: seams.map(({ partName, spec, choice }) => ({ part: partName, spec, choice })),
    machines: machines.map(({ file }) => file),
  };
}

interface Incoming {
  readonly parts: readonly { readonly name: string; readonly about: string }[];
  readonly seams: readonly { readonly part: string; readonly spec: SeamSpec; readonly choice: ProgramChoice | null }[];
  readonly machines: readonly unknown[];
}

/** A bundle, a seam or a machine, told apart by its format. */
function incomingOf(file: unknown): Outcome<Incoming> {
  const format = typeof file === 'object' && file !== null ? (file as { format?: unknown }).format : undefined;
  if (format === 'fox-tempo/machine') return { ok: true, value: { parts: [], seams: [], machines: [file] } };
  if (format === 'fox-tempo/seam') {
    const seam = readSeamFile(file);
    return seam.ok ? { ok: true, value: { parts: [], seams: [seam.value], machines: [] } } : seam;
  }
  return readBundle(file);
}

async function imported(
  db: Database,
  { file, partId, write }: { file: unknown; partId: string | null; write: boolean },
  me: SignedIn,
): Promise<ImportReport> {
  const { parts, seams, machines } = orProblem(incomingOf(file));
  const target = partId === null ? null : await requirePart(db, partId);
  return db.transaction(async (tx) => {
    const rows: ImportReport['rows'] = [];
    for (const part of parts) {
      const known = await findPartByName(tx, part.name);
      rows.push({ kind: 'part', name: part.name, does: known ? 'there already' : 'added', why: null });
      if (write && !known) await insertPart(tx, `part-${randomUUID().slice(0, 8)}`, part, me.id);
    }
    const comes = new Set(parts.map((part) => part.name));
    for (const [at, { part, spec, choice }] of seams.entries()) {
      const partName = target?.name ?? part;
      const known = target ?? (await findPartByName(tx, partName));
      if (!known && !comes.has(partName)) {
        rows.push({
          kind: 'seam',
          name: spec.name,
          does: 'refused',
          why: message('server.shop.error.no-part', { partName }),
        });
        continue;
      }
      const there = known ? (await seamsOfPart(tx, known.id)).some((seam) => seam.spec.name === spec.name) : false;
      if (there) {
        rows.push({ kind: 'seam', name: spec.name, does: 'there already', why: null });
        continue;
      }
      rows.push({ kind: 'seam', name: spec.name, does: 'added', why: null });
      if (!write || !known) continue;
      const seam = await createSeam(tx, { partId: known.id, spec }, me.id);
      if (choice) await withPlace(`seams.${at}`, () => saveSeam(tx, seam.id, seam.version, { spec, choice }, me));
    }
    for (const [at, value] of machines.entries()) {
      const read = readMachineFile(value);
      if (!read.ok) {
        rows.push({ kind: 'machine', name: nameOf(value, at), does: 'refused', why: read.issues[0]?.message ?? null });
        continue;
      }
      if (await nameTaken(tx, read.value.name, '')) {
        rows.push({ kind: 'machine', name: read.value.name, does: 'there already', why: null });
        continue;
      }
      rows.push({ kind: 'machine', name: read.value.name, does: 'added', why: null });
      if (write) await createMachine(tx, value, me.id);
    }
    const refused = rows.find((row) => row.does === 'refused');
    if (write && refused)
      throw invalidInput([
        {
          path: 'file',
          code: 'refused',
          message: message('server.shop.nothing-was-written', { refused: refused.name, why: refused.why ?? '' }),
          got: refused.name,
        },
      ]);
    return { written: write, rows };
  });
}

function nameOf(value: unknown, at: number): string {
  const name = typeof value === 'object' && value !== null ? (value as { name?: unknown }).name : undefined;
  return typeof name === 'string' ? name.slice(0, 80) : `machine ${at + 1}`;
}

/** Issues of one entry keep the entry's place in the file. */
async function withPlace<T>(path: string, run: () => Promise<T>): Promise<T> {
  try {
    return await run();
  } catch (error) {
    const issues = (error as { body?: { issues?: Issue[] } }).body?.issues;
    if (issues) throw invalidInput(issues.map((issue) => ({ ...issue, path: `${path}.${issue.path}` })));
    throw error;
  }
}

export const bundleHandlers = {
  exportShop: ({ db }) => exported(db),
  importBundle: ({ db, body, me }) => imported(db, { ...body, file: body.file }, me),
} satisfies Pick<Handlers, 'exportShop' | 'importBundle'>;
