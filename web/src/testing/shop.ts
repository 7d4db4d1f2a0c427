/** A small shop for tests of the interface: one machine described, one outlined, two seams, one order. */
import { inEnglish } from '@fox-tempo/words/english';
import {
  readMachineFile,
  type MachineFile,
  type MachineResource,
  type Order,
  type Part,
  type Revision,
  type SeamResource,
  type SeamSpec,
  type ShopState,
  type Stock,
} from '@fox-tempo/contract';
import { questionOf, standardSite } from '@fox-tempo/core/site';
import { queryClient } from '../data/queries.ts';
import { cardOf } from '@fox-tempo/core/machine/dials';
import { programFromPlan, type Program } from '@fox-tempo/core/setting/program';
import { type Machine } from '@fox-tempo/core/machine/description';
import { planSeam, type Plan } from '@fox-tempo/core/setting/plan';
import {
  aluminiumFeeder,
  steelFeeder,
  alder as demoAlder,
  rowan as demoRowan,
  steelPulse,
  steelTee,
} from '@fox-tempo/core/scenarios';

export const when = '2026-01-15T08:30:00.000Z';

export const spec: SeamSpec = {
  ...steelTee,
  name: 'Axle plate',
  grade: 'S235',
  thicknessesMm: [2.5, 5],
  legMm: 3.5,
  lengthMm: 160,
};

export const choice: Revision['choice'] = steelPulse;

export function planned(change: Partial<SeamSpec> = {}, wire: Partial<Revision['choice']> = {}): Plan {
  const plan = planSeam(questionOf({ ...spec, ...change }, { ...choice, ...wire }, standardSite));
  if (!plan.ok) throw new Error(inEnglish(plan.issues[0]?.message));
  return plan.value;
}

export function program(change: Partial<SeamSpec> = {}, wire: Partial<Revision['choice']> = {}): Program {
  return programFromPlan(
    questionOf({ ...spec, ...change }, { ...choice, ...wire }, standardSite),
    planned(change, wire),
  );
}

export function revision(number: number, change: Partial<Revision> = {}): Revision {
  return {
    number,
    spec,
    choice,
    site: standardSite,
    program: { format: 'fox-tempo/program', version: 2, ...program() },
    use: { arcSeconds: 24, passes: 1, wireKg: 0.02, gasL: 6 },
    contentHash: null,
    createdAt: when,
    createdBy: 'Teo Varnholt',
    ...change,
  };
}

export function seam(change: Partial<SeamResource> = {}): SeamResource {
  return {
    id: 'axle',
    partId: 'frame',
    partName: 'Cart frame',
    version: 2,
    spec,
    choice,
    revision: revision(1),
    lock: null,
    issued: [],
    limits: null,
    limitsWritten: null,
    windows: [],
    offsets: [],
    deleted: false,
    createdAt: when,
    createdBy: 'Teo Varnholt',
    changedAt: when,
    changedBy: 'Teo Varnholt',
    ...change,
  };
}

export const parts: Part[] = [
  { id: 'frame', name: 'Cart frame', about: 'tube on plate', version: 1, retired: false },
  { id: 'rail', name: 'Rail', about: '', version: 1, retired: false },
];

export function order(change: Partial<Order> = {}): Order {
  return {
    id: 'o1',
    number: 'MC 1',
    partId: 'frame',
    partName: 'Cart frame',
    quantity: 12,
    done: 5,
    dueOn: '2026-01-20',
    version: 1,
    closed: false,
    ...change,
  };
}

function fileOf(machine: Machine): MachineFile {
  const read = readMachineFile({ format: 'fox-tempo/machine', version: 2, ...machine });
  if (!read.ok) throw new Error(inEnglish(read.issues[0]?.message));
  return read.value;
}

/** Stands on its line for steel 1.0 in argon with 18 % CO2. */
export const rowan: MachineResource = {
  id: 'rowan',
  version: 1,
  retired: false,
  trouble: null,
  changedAt: when,
  changedBy: 'Teo Varnholt',
  standing: {
    process: 'gas-metal',
    polarity: 'electrode-positive',
    feederId: 'one',
    feeders: { one: steelFeeder },
    slot: 3,
    from: 'entered',
    known: {},
    dials: { line: 12, 'wire-feed': 7.8, 'arc-index': 50 },
    since: when,
  },
  file: fileOf(demoRowan),
};

/** A machine whose dials are known to stand as on the card of a program. */
export function setFor(machine: MachineResource, asked: Program): MachineResource {
  const { standing } = machine;
  if (!standing) return machine;
  const dials = Object.fromEntries(cardOf(machine.file, asked).dials.map(({ dialId, value }) => [dialId, value]));
  const known = Object.fromEntries(
    Object.keys(dials).map((id) => [id, { source: 'set-up' as const, by: 'Teo Varnholt', at: when }]),
  );
  return { ...machine, standing: { ...standing, dials, known } };
}

/** Only outlined, and nobody knows how it stands. */
export const hazel: MachineResource = {
  ...rowan,
  id: 'hazel',
  standing: null,
  file: { ...rowan.file, name: 'Hazel', place: 'bay 1', about: 'Small source.', dials: [], chartLines: [] },
};

export const alder: MachineResource = {
  ...rowan,
  id: 'alder',
  file: fileOf(demoAlder),
  standing: {
    ...(rowan.standing as NonNullable<MachineResource['standing']>),
    feederId: 'left',
    feeders: {
      left: steelFeeder,
      right: { ...aluminiumFeeder, flowLPerMin: 18 },
    },
    dials: { card: 11 },
    slot: null,
  },
};

export const stock: Stock = {
  cylinders: [
    {
      id: 'mix',
      version: 1,
      name: 'Mix 1',
      gas: 'M21-ArC-18',
      volumeL: 50,
      pressureBar: 5.05,
      massKg: null,
      convention: 'gauge at the regulator',
      machineId: 'rowan',
      retired: false,
      changedAt: when,
      changedBy: 'Teo Varnholt',
    },
  ],
  spools: [],
};

/** Answers `fetch` from a table of addresses; an entry may be a function of the body; whatever is not in it is a 404 problem. Returns the calls made. */
export function answerFetch(table: Record<string, unknown>): {
  calls: { method: string; path: string; body: unknown }[];
} {
  const calls: { method: string; path: string; body: unknown }[] = [];
  // Another world: what was read in the last one is not of it.
  queryClient.clear();
  globalThis.fetch = ((path: string, init?: RequestInit) => {
    const method = init?.method ?? 'GET';
    calls.push({ method, path, body: typeof init?.body === 'string' ? (JSON.parse(init.body) as unknown) : null });
    const entry = table[`${method} ${path}`];
    const found: unknown =
      typeof entry === 'function' ? (entry as (body: unknown) => unknown)(calls.at(-1)?.body) : entry;
    if (found instanceof Error) return Promise.reject(found);
    const problem = {
      type: '/problems/not-found',
      title: 'There is nothing at this address',
      status: 404,
      detail: path,
    };
    const status = found === undefined ? 404 : (((found as { status?: unknown }).status as number | undefined) ?? 200);
    return Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(found ?? problem) } as Response);
  }) as typeof fetch;
  return { calls };
}

/** A server that remembers: before the write it reads one answer, after it another. */
export function remembers(reading: string, before: unknown, writing: string, written: unknown, after: unknown) {
  let now = before;
  return {
    [`GET ${reading}`]: () => now,
    [writing]: () => {
      now = after;
      return written;
    },
  };
}

/** A record of observations that starts empty and keeps what is sent. */
export function emptyRecord(query: string): Record<string, unknown> {
  const rows: object[] = [];
  return {
    [`GET /api/observations?${query}`]: () => ({ items: [...rows], next: null }),
    'POST /api/observations': (sent: { corrects?: string }) => {
      const row = rows.length + 1;
      const added = {
        id: `00000000-0000-4000-8000-${String(row).padStart(12, '0')}`,
        row,
        at: when,
        recordedBy: 'Teo Varnholt',
        weldedBy: null,
        attachments: [],
        ...sent,
        corrects: sent.corrects ?? null,
      };
      rows.push(added);
      return added;
    },
  };
}

export const shopState: ShopState = {
  version: 1,
  name: 'Test shop',
  timeZone: 'Europe/Berlin',
  demo: true,
  thicknessRule: 'leaning' as const,
  diskFreeBytes: 80e9,
  diskIsLow: false,
  lan: null,
  rates: null,
  backups: [],
  backupTrouble: null,
};
