/** Sums that would hold the page up: each with what it is asked and what it answers. Plain functions; the worker runs them, tests call them. */
import { sameWire } from '@fox-tempo/core/metal/consumables';
import { questionOf, type Site } from '@fox-tempo/core/site';
import { asStands } from '@fox-tempo/core/machine/teaching';
import { type MachineResource, type SeamResource, type Stock } from '@fox-tempo/contract';
import { cylinderOutlook, spoolOutlook, type Outlook, notInStock, type Missing } from '@fox-tempo/core/day/consumption';
import {
  planDay,
  shiftPage,
  type DayJob,
  type DayMachine,
  type DayPlan,
  type NextJob,
  type NextStock,
  type ShiftPage,
} from '@fox-tempo/core/day/plan';
import { bestOrder, type SoakInput } from '@fox-tempo/core/weld/soak';
import { rankFillers, rankGases, rankSizes, type RankedChoice } from '@fox-tempo/core/setting/wire-choice';
import { measureSeam } from '../data/part-use.ts';
import type { Sheet } from '../sheet/sheet-fields.ts';

export interface Wishes {
  readonly anodised: boolean;
  readonly brazed: boolean;
}

export interface Ranking {
  readonly fillers: readonly RankedChoice<Sheet['choice']['filler']>[];
  readonly sizes: readonly RankedChoice<number>[];
  readonly gases: readonly RankedChoice<string>[];
}

/** A cylinder or spool on a machine that will not last for five parts of a seam. */
export interface LowStock {
  readonly id: string;
  readonly name: string;
  readonly machineId: string;
  readonly seam: string;
  readonly outlook: Outlook;
}

export interface SumQuestions {
  ranking: { ask: { readonly sheet: Sheet; readonly site: Site; readonly wishes: Wishes }; answer: Ranking };
  lowStock: {
    ask: { readonly stock: Stock; readonly seams: readonly SeamResource[] };
    answer: { readonly low: readonly LowStock[]; readonly missing: readonly Missing[] };
  };
  dayPlan: {
    ask: {
      readonly jobs: readonly DayJob[];
      readonly machines: readonly DayMachine[];
      readonly fixed: Readonly<Record<string, readonly string[]>>;
    };
    answer: DayPlan;
  };
  /** What each machine welds next. */
  shiftPage: {
    ask: {
      readonly jobs: readonly NextJob[];
      readonly machines: readonly MachineResource[];
      readonly stock: NextStock;
      readonly fixed: Readonly<Record<string, readonly string[]>>;
    };
    answer: ShiftPage;
  };
  /** The order of seams that waits least. */
  heatOrder: {
    ask: { readonly input: SoakInput };
    answer: { readonly order: readonly number[]; readonly endsAtS: number; readonly waitS: number };
  };
}

export const sums: { [K in keyof SumQuestions]: (ask: SumQuestions[K]['ask']) => SumQuestions[K]['answer'] } = {
  ranking({ sheet: { spec, choice }, site, wishes }) {
    const request = questionOf(spec, choice, site);
    return {
      fillers: rankFillers(request.seam, { grade: spec.grade, ...wishes }),
      sizes: rankSizes(request),
      gases: rankGases(request),
    };
  },
  dayPlan: ({ jobs, machines, fixed }) => planDay(jobs, machines, fixed),
  shiftPage: ({ jobs, machines, stock, fixed }) =>
    shiftPage(
      jobs,
      machines.map((machine) => ({ id: machine.id, file: asStands(machine), state: machine.standing })),
      stock,
      fixed,
    ),
  heatOrder({ input }) {
    const { order, endsAtS, waitS } = bestOrder(input);
    return { order, endsAtS, waitS };
  },
  lowStock: ({ stock, seams }) => ({
    missing: notInStock(seams, stock),
    low: seams.flatMap(measureSeam).flatMap(({ seam, use }) => {
      const program = seam.revision?.program;
      if (!program) return [];
      const rows = [
        ...stock.cylinders
          .filter((one) => one.gas === program.gas)
          .map((one) => ({ ...one, outlook: cylinderOutlook(one, use) })),
        ...stock.spools
          .filter((one) => sameWire(one, program))
          .map((one) => ({ ...one, outlook: spoolOutlook(one, use) })),
      ];
      return rows.flatMap(({ id, name, machineId, outlook }): LowStock[] =>
        machineId === null || outlook.words === 'plenty'
          ? []
          : [{ id, name, machineId, seam: seam.spec.name, outlook }],
      );
    }),
  }),
};
