/** The day's work on the shop's machines: which job where and when, with the changeovers that the set-up walk would name. */
import { own } from '../../base/record/index.ts';
import { missingOf, missingParts, whyNot, type CannotWeld, type MissingPart } from '../../machine/dials/index.ts';
import { type Machine } from '../../machine/description/index.ts';
import { type Program } from '../../setting/program/index.ts';
import { lateWeight, schedule, type ScheduleInput } from '../schedule/index.ts';
import { changeover, setUpFor, unknownState, type MachineState } from '../../machine/setup/index.ts';

export interface DayJob {
  readonly id: string;
  readonly program: Program;
  /** Arc of one piece, minutes, and how many are to be made. */
  readonly arcMinutes: number;
  readonly quantity: number;
  /** Minutes of work from now; left out: never late. */
  readonly dueMinute?: number | undefined;
}

export interface DayMachine {
  readonly id: string;
  readonly file: Machine;
  /** How it stands; null: nobody entered it, so that everything has to be set up first. */
  readonly state: MachineState | null;
}

export interface DayBar {
  readonly machineId: string;
  readonly jobId: string;
  readonly setupMinutes: number;
  readonly fromMinute: number;
  readonly toMinute: number;
  readonly lateMinutes: number;
}

export interface DayPlan {
  readonly bars: readonly DayBar[];
  readonly setupMinutes: number;
  readonly lateMinutes: number;
  readonly cost: number;
  readonly bound: number;
  readonly provenBest: boolean;
  /** Jobs that no machine here can weld. */
  readonly unplaced: readonly string[];
  /** Machines that are left out, with what their description lacks. */
  readonly halfDescribed: readonly HalfDescribed[];
}

export interface HalfDescribed {
  readonly machineId: string;
  readonly missing: readonly MissingPart[];
}

/** Machines on which nothing can be planned that wants a chart, and why: they are named, not silently used. */
export function halfDescribed(machines: readonly Pick<DayMachine, 'id' | 'file'>[]): HalfDescribed[] {
  return machines
    .map(({ id, file }) => ({ machineId: id, missing: missingOf(file) }))
    .filter(({ missing }) => missing.length > 0);
}

/** Fitting, clamping, turning and cleaning for one piece, minutes; assumed until the shop has timed it. */
export const handlingMinutes = 2;

/** What is nearest to being mended comes last. */
const distance: readonly (CannotWeld | null)[] = [
  ...missingParts,
  'wire-size',
  'chart',
  'duty',
  'current',
  'feed',
  null,
];

/** The machine that comes nearest to a program, and what keeps it from it; undefined where there is no machine. */
export function nearestTo<M extends { readonly file: Machine }>(
  machines: readonly M[],
  program: Program,
): { readonly machine: M; readonly why: CannotWeld | null } | undefined {
  return machines
    .map((machine) => ({ machine, why: whyNot(machine.file, program) }))
    .sort((a, b) => distance.indexOf(b.why) - distance.indexOf(a.why))[0];
}

export function jobMinutes({ arcMinutes, quantity }: Pick<DayJob, 'arcMinutes' | 'quantity'>): number {
  return (arcMinutes + handlingMinutes) * quantity;
}

/** The day as a schedule to be found: what can be placed, and what its changeovers take. */
export interface DayProblem {
  readonly placed: readonly DayJob[];
  readonly unplaced: readonly string[];
  readonly input: ScheduleInput;
}

export function dayProblem(
  jobs: readonly DayJob[],
  machines: readonly DayMachine[],
  fixed: Readonly<Record<string, readonly string[]>> = {},
): DayProblem {
  const able = new Map(
    jobs.map((job) => [job.id, machines.filter(({ file }) => whyNot(file, job.program) === null).map(({ id }) => id)]),
  );
  const placed = jobs.filter(({ id }) => (able.get(id) ?? []).length > 0);
  return {
    placed,
    unplaced: jobs.filter(({ id }) => !placed.some((one) => one.id === id)).map(({ id }) => id),
    input: {
      operations: placed.map((job) => ({
        id: job.id,
        minutes: jobMinutes(job),
        ...(job.dueMinute === undefined ? {} : { dueMinute: job.dueMinute }),
        machines: able.get(job.id) ?? [],
      })),
      setupMinutes: Object.fromEntries(machines.map((machine) => [machine.id, setupsOn(machine, placed, able)])),
      fixed: standing(fixed, able),
    },
  };
}

export function planDay(
  jobs: readonly DayJob[],
  machines: readonly DayMachine[],
  fixed: Readonly<Record<string, readonly string[]>> = {},
): DayPlan {
  const { placed, unplaced, input } = dayProblem(jobs, machines, fixed);
  const leftOut = halfDescribed(machines);
  if (placed.length === 0)
    return {
      bars: [],
      setupMinutes: 0,
      lateMinutes: 0,
      cost: 0,
      bound: 0,
      provenBest: true,
      unplaced,
      halfDescribed: leftOut,
    };
  const found = schedule(input);
  return {
    bars: barsOf(placed, found.order, input.setupMinutes),
    setupMinutes: found.setupMinutes,
    lateMinutes: found.lateMinutes,
    cost: found.setupMinutes + lateWeight * found.lateMinutes,
    bound: found.bound,
    provenBest: found.provenBest,
    unplaced,
    halfDescribed: leftOut,
  };
}

/** What was held by hand and still can stand there. */
function standing(
  fixed: Readonly<Record<string, readonly string[]>>,
  able: ReadonlyMap<string, readonly string[]>,
): Record<string, string[]> {
  return Object.fromEntries(
    Object.entries(fixed).map(([machine, ids]) => [machine, ids.filter((id) => able.get(id)?.includes(machine))]),
  );
}

type Setups = Record<string, Record<string, number>>;

function setupsOn(machine: DayMachine, jobs: readonly DayJob[], able: ReadonlyMap<string, readonly string[]>): Setups {
  const here = jobs.filter(({ id }) => able.get(id)?.includes(machine.id));
  const now = machine.state ?? unknownState(machine.file);
  const states = new Map<string, MachineState>([
    ['start', now],
    ...here.map(({ id, program }) => [id, setUpFor(machine.file, now, program)] as const),
  ]);
  return Object.fromEntries(
    [...states].map(([from, state]) => [
      from,
      Object.fromEntries(
        here
          .filter(({ id }) => id !== from)
          .map(({ id, program }) => [id, changeover(machine.file, state, program).minutes]),
      ),
    ]),
  );
}

function barsOf(
  jobs: readonly DayJob[],
  order: Readonly<Record<string, readonly string[]>>,
  setups: ScheduleInput['setupMinutes'],
): DayBar[] {
  return Object.entries(order).flatMap(([machineId, ids]) => {
    let clock = 0;
    let from = 'start';
    return ids.flatMap((jobId): DayBar[] => {
      const job = jobs.find(({ id }) => id === jobId);
      if (!job) return [];
      const setupMinutes = own(own(own(setups, machineId), from), jobId) ?? 0;
      const fromMinute = clock + setupMinutes;
      const toMinute = fromMinute + jobMinutes(job);
      clock = toMinute;
      from = jobId;
      const lateMinutes = Math.max(toMinute - (job.dueMinute ?? Number.POSITIVE_INFINITY), 0);
      return [{ machineId, jobId, setupMinutes, fromMinute, toMinute, lateMinutes }];
    });
  });
}

/** Bars of one machine in their order. */
export function barsOn({ bars }: Pick<DayPlan, 'bars'>, machineId: string): DayBar[] {
  return bars.filter((bar) => bar.machineId === machineId).sort((a, b) => a.fromMinute - b.fromMinute);
}
