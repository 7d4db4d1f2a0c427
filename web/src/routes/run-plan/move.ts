/** Moving a job by hand: to a place on a machine, one place on, to another machine. What stands before it is held with it, the rest is planned again. */
import { barsOn, type DayJob, type DayPlan } from '@fox-tempo/core/day/plan';
import { type Machine } from '@fox-tempo/core/machine/description';
import { whyNot, type CannotWeld } from '@fox-tempo/core/machine/dials';

export type Fixed = Readonly<Record<string, readonly string[]>>;

export interface Lane {
  readonly id: string;
  readonly file: Machine;
}

/** Held by nobody any more. */
export function letGo(fixed: Fixed, jobId: string): Fixed {
  return Object.fromEntries(
    Object.entries(fixed)
      .map(([machine, ids]) => [machine, ids.filter((id) => id !== jobId)] as const)
      .filter(([, ids]) => ids.length > 0),
  );
}

/** `at`: how many of the machine's other jobs come before it. */
export function put(plan: DayPlan, fixed: Fixed, jobId: string, machineId: string, at: number): Fixed {
  const rest = letGo(fixed, jobId);
  const others = barsOn(plan, machineId)
    .map((bar) => bar.jobId)
    .filter((id) => id !== jobId);
  const head = [...others.slice(0, at), jobId];
  const heldAfter = (rest[machineId] ?? []).filter((id) => !head.includes(id));
  return { ...rest, [machineId]: [...head, ...heldAfter] };
}

/** Place on a lane at a minute: after every other job whose middle lies before it. */
export function placeAt(plan: DayPlan, machineId: string, jobId: string, minute: number): number {
  return barsOn(plan, machineId).filter((bar) => bar.jobId !== jobId && (bar.fromMinute + bar.toMinute) / 2 < minute)
    .length;
}

export type Step = 'earlier' | 'later' | 'up' | 'down';

export type Stepped =
  | { readonly machineId: string; readonly at: number }
  /** The nearest machine that way and what keeps it; null: there is none. */
  | { readonly machineId: string; readonly why: CannotWeld }
  | null;

/** One step by key. Up and down go to the next machine that way which can weld it, at the time it stands at. */
export function stepped(plan: DayPlan, lanes: readonly Lane[], job: DayJob, step: Step): Stepped {
  const bar = plan.bars.find(({ jobId }) => jobId === job.id);
  if (!bar) return null;
  const { machineId } = bar;
  if (step === 'earlier' || step === 'later') {
    const line = barsOn(plan, machineId);
    const at = line.findIndex(({ jobId }) => jobId === job.id) + (step === 'earlier' ? -1 : 1);
    return at < 0 || at >= line.length ? null : { machineId, at };
  }
  const here = lanes.findIndex(({ id }) => id === machineId);
  const that = step === 'up' ? lanes.slice(0, here).reverse() : lanes.slice(here + 1);
  const able = that.find(({ file }) => whyNot(file, job.program) === null);
  if (able) return { machineId: able.id, at: placeAt(plan, able.id, job.id, bar.fromMinute) };
  const nearest = that[0];
  const why = nearest && whyNot(nearest.file, job.program);
  return nearest && why ? { machineId: nearest.id, why } : null;
}
