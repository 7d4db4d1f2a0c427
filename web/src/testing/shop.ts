/** A small shop for tests of the interface: one machine described, one outlined, two seams, one order. */
import {
  planRequest,
  type MachineResource,
  type Order,
  type Part,
  type Revision,
  type SeamResource,
  type SeamSpec,
} from '@fox-tempo/contract';
import { planSeam, programFromPlan, type Plan, type Program } from '@fox-tempo/core';

export const when = '2026-01-15T08:30:00.000Z';

export const spec: SeamSpec = {
  name: 'Axle plate',
  grade: 'S235',
  materialGroup: 'steel',
  thicknessesMm: [2.5, 5],
  joint: 'tee',
  position: 'PB',
  gapMm: 0,
  legMm: 3.5,
  lengthMm: 160,
  travelMmPerMin: null,
};

export const choice: Revision['choice'] = {
  filler: 'steel-solid',
  gas: 'M21-ArC-18',
  diameterMm: 1,
  arcHabit: 'by-joint',
  wireFeedMPerMin: null,
};

export function planned(change: Partial<SeamSpec> = {}, wire: Partial<Revision['choice']> = {}): Plan {
  const plan = planSeam(planRequest({ ...spec, ...change }, { ...choice, ...wire }));
  if (!plan.ok) throw new Error(plan.issues[0]?.message);
  return plan.value;
}

export function program(change: Partial<SeamSpec> = {}, wire: Partial<Revision['choice']> = {}): Program {
  return programFromPlan(planRequest({ ...spec, ...change }, { ...choice, ...wire }), planned(change, wire));
}

export function revision(number: number, change: Partial<Revision> = {}): Revision {
  return {
    number,
    spec,
    choice,
    program: { format: 'fox-tempo/program', version: 1, ...program() },
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
    createdAt: when,
    createdBy: 'Teo Varnholt',
    changedAt: when,
    changedBy: 'Teo Varnholt',
    ...change,
  };
}

export const parts: Part[] = [
  { id: 'frame', name: 'Cart frame', about: 'tube on plate' },
  { id: 'rail', name: 'Rail', about: '' },
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
    ...change,
  };
}

export const rowan: MachineResource = {
  id: 'rowan',
  version: 1,
  changedAt: when,
  changedBy: 'Teo Varnholt',
  standing: {
    filler: 'steel-solid',
    diameterMm: 1,
    gas: 'M21-ArC-18',
    dials: { line: 12, feed: 7.8, index: 50 },
    since: when,
  },
  file: {
    format: 'fox-tempo/machine',
    version: 1,
    name: 'Rowan',
    place: 'bay 2',
    about: '',
    circuitMOhm: 14,
    limits: { peakCurrentA: 500, wireFeedMPerMin: [1, 22] },
    dials: [
      { id: 'line', label: 'Line', where: 'list key', unit: '', scale: { kind: 'chart-line' } },
      {
        id: 'feed',
        label: 'Wire feed',
        where: 'left knob',
        unit: 'm/min',
        scale: {
          kind: 'linear',
          quantity: 'wireFeedMPerMin',
          neutral: 0,
          quantityAtNeutral: 0,
          quantityPerUnit: 1,
          min: 1,
          max: 22,
          step: 0.1,
        },
      },
      {
        id: 'index',
        label: 'Arc index',
        where: 'right knob',
        unit: '',
        sense: 'more is longer',
        scale: {
          kind: 'linear',
          quantity: 'trimMm',
          neutral: 50,
          quantityAtNeutral: 0,
          quantityPerUnit: 0.12,
          min: 0,
          max: 100,
          step: 1,
        },
      },
    ],
    chartLines: [
      { number: 12, words: 'Steel 1.0', filler: 'steel-solid', diameterMm: 1, gas: 'M21-ArC-18', mode: 'pulse' },
    ],
  },
};

export const hazel: MachineResource = {
  ...rowan,
  id: 'hazel',
  standing: null,
  file: { ...rowan.file, name: 'Hazel', place: 'bay 1', about: 'Small source.', dials: [], chartLines: [] },
};

/** Answers `fetch` from a table of addresses; whatever is not in it is a 404 problem. Returns the calls made. */
export function answerFetch(table: Record<string, unknown>): {
  calls: { method: string; path: string; body: unknown }[];
} {
  const calls: { method: string; path: string; body: unknown }[] = [];
  globalThis.fetch = ((path: string, init?: RequestInit) => {
    const method = init?.method ?? 'GET';
    calls.push({ method, path, body: typeof init?.body === 'string' ? (JSON.parse(init.body) as unknown) : null });
    const found = table[`${method} ${path}`];
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
