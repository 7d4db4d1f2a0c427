/** The day's work on the shop's machines: which job where and when, with the changeovers that the set-up walk would name. */
import { sameSizeMm } from '../consumables/index.ts';
import { chartLineFor, translate, type Machine, type Program } from '../machine/index.ts';
import { lateWeight, schedule, type ScheduleInput } from '../schedule/index.ts';
import { changeover, type MachineState } from '../setup/index.ts';

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
  /** How it stands; null: nobody entered it, a first set-up is counted as nothing. */
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
  /** Jobs that no machine here can say. */
  readonly unplaced: readonly string[];
}

/** Fitting, clamping, turning and cleaning for one piece, minutes; assumed until the shop has timed it. */
export const handlingMinutes = 2;

/** Why a machine cannot weld a program: it has no dials described, its limits do not reach, it takes no such wire, its chart has no such line. */
export type CannotWeld = 'no-dials' | 'feed' | 'wire-size' | 'chart';

/** null: it can. A chart, where there is one, must have the wire in its gas. */
export function whyNot(machine: Machine, program: Program): CannotWeld | null {
  const { limits, dials, chartLines } = machine;
  const [least, most] = limits.wireFeedMPerMin;
  if (dials.length === 0) return 'no-dials';
  if (limits.wireSizesMm && !limits.wireSizesMm.some((size) => Math.abs(size - program.diameterMm) < sameSizeMm))
    return 'wire-size';
  const hasChart = dials.some(({ scale }) => scale.kind === 'chart-line');
  if (hasChart && chartLineFor(chartLines, program) === undefined) return 'chart';
  return program.wireFeedMPerMin < least || program.wireFeedMPerMin > most ? 'feed' : null;
}

/** What is nearest to being mended comes last. */
const distance: readonly (CannotWeld | null)[] = ['no-dials', 'wire-size', 'chart', 'feed', null];

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
  if (placed.length === 0)
    return { bars: [], setupMinutes: 0, lateMinutes: 0, cost: 0, bound: 0, provenBest: true, unplaced };
  const found = schedule(input);
  return {
    bars: barsOf(placed, found.order, input.setupMinutes),
    setupMinutes: found.setupMinutes,
    lateMinutes: found.lateMinutes,
    cost: found.setupMinutes + lateWeight * found.lateMinutes,
    bound: found.bound,
    provenBest: found.provenBest,
    unplaced,
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
  const states = new Map<string, MachineState | null>([
    ['start', machine.state],
    ...here.map(({ id, program }) => [id, after(machine, program)] as const),
  ]);
  return Object.fromEntries(
    [...states].map(([from, state]) => [
      from,
      Object.fromEntries(
        here
          .filter(({ id }) => id !== from)
          .map(({ id, program }) => [id, state === null ? 0 : changeover(machine.file, state, program).minutes]),
      ),
    ]),
  );
}

/** How a machine stands once a program was set up on it. */
function after({ file, state }: DayMachine, program: Program): MachineState | null {
  if (state === null) return null;
  const { feederId, needed } = changeover(file, state, program);
  const { process, polarity, ctwdMm: _ctwdMm, ...feeder } = needed;
  return {
    process,
    polarity,
    feederId,
    feeders: { ...state.feeders, [feederId]: feeder },
    dials: Object.fromEntries(translate(file, program).dials.map(({ dialId, value }) => [dialId, value])),
  };
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
      const setupMinutes = setups[machineId]?.[from]?.[jobId] ?? 0;
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
