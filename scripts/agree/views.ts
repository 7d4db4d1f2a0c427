/** Every view that shows figures of a setting, each asked by its own way of finding them. A new view is a new entry. */
import { dayJobs } from '@fox-tempo/core/day/plan';
import { verbs, type Revision } from '@fox-tempo/contract';
import { takesOf, candidatesFor } from '@fox-tempo/core/day/costs';
import { showThrough } from '@fox-tempo/core/setting/heat-input';
import { arcOf, cardOf, readDials, shouldShow, simulationOf, whyNot } from '@fox-tempo/core/machine/dials';
import { asStands } from '@fox-tempo/core/machine/teaching';
import { otherBeat, presetLimits, timedFigures, usualLevel } from '@fox-tempo/core/evidence/trial';
import { planSeam, planSetting } from '@fox-tempo/core/setting/plan';
import { procedureSheet } from '@fox-tempo/core/evidence/procedure';
import { atMachine, questionOf, ruleQuestion } from '@fox-tempo/core/site';
import { fillerOf } from '@fox-tempo/core/metal/consumables';
import { rankSizes } from '@fox-tempo/core/setting/wire-choice';
import { english } from '@fox-tempo/words/english';
import { runVerb } from '../../cli/run.ts';
import { cardDocument } from '../../server/modules/cards/index.ts';
import { procedureDocument } from '../../server/modules/papers/index.ts';
import { useFor } from '../../server/modules/revisions/index.ts';
import { measureSeam } from '../../web/src/data/part-use.ts';
import { planOf, sheetOf } from '../../web/src/sheet/sheet.ts';
import type { Case } from './cases.ts';
import type { FigureName, Shown } from './figures.ts';
import { textOf } from './text-of.ts';

export interface View {
  readonly name: string;
  /** Undefined where the view shows nothing of such a case. */
  readonly figures?: (one: Case) => Shown | undefined;
  /** Printed text, and the figures that must stand in it as they are rounded everywhere. */
  readonly text?: { readonly of: (one: Case) => string | undefined; readonly holds: readonly FigureName[] };
}

const planned = (revision: Revision) => questionOf(revision.spec, revision.choice, revision.site);
const figuresOfPlan = (plan: Extract<ReturnType<typeof planSeam>, { ok: true }>['value']): Shown => ({
  wireFeedMPerMin: plan.wireFeedMPerMin,
  meanCurrentA: plan.meanCurrentA,
  voltageV: plan.voltageV,
  machineVoltageV: plan.machineVoltageV,
  trueWatts: plan.meanPowerW,
  arcLengthMm: plan.arcLengthMm,
  trimMm: plan.trimMm,
  ctwdMm: plan.ctwdMm,
  gasFlowLPerMin: plan.gasFlowLPerMin,
  travelMmPerMin: plan.travelMmPerMin,
  legMm: plan.legMm,
  heatInputKjPerMm: plan.heatInputKjPerMm,
  arcSeconds: plan.arcSeconds,
  wireKg: plan.wireGrams / 1000,
  gasL: plan.gasLitres,
  passes: plan.passes,
  showThrough: plan.showThrough.index,
  pulseHz: plan.pulse?.frequencyHz ?? null,
});
/** The verb as somebody asks it by hand, with the shop's and the machine's part as its site. */
const asAsked = ({ revision: { spec, choice }, site }: Case) => ({
  seam: {
    materialGroup: spec.materialGroup,
    grade: spec.grade,
    thicknessesMm: spec.thicknessesMm,
    joint: spec.joint,
    position: spec.position,
    gapMm: spec.gapMm,
    ...(spec.legMm === null ? {} : { legMm: spec.legMm }),
    lengthMm: spec.lengthMm,
    ...(spec.travelMmPerMin === null ? {} : { travelMmPerMin: spec.travelMmPerMin }),
    ...(spec.preparation ? { preparation: spec.preparation } : {}),
  },
  arcHabit: choice.arcHabit,
  filler: choice.filler,
  gas: choice.gas,
  diameterMm: choice.diameterMm,
  mode: choice.mode,
  site,
});
const answerOf = (value: unknown): Shown => figuresOfPlan(value as Parameters<typeof figuresOfPlan>[0]);

const onProcedure: readonly FigureName[] = [
  'wireFeedMPerMin',
  'meanCurrentA',
  'voltageV',
  'travelMmPerMin',
  'heatInputKjPerMm',
  'legMm',
  'ctwdMm',
  'pulseHz',
];

export const views: readonly View[] = [
  {
    name: 'sheet',
    figures: ({ seam, site }) => {
      const plan = planOf(sheetOf(seam), site);
      return plan.ok ? figuresOfPlan(plan.value) : {};
    },
  },
  {
    name: 'API',
    figures: (one) => {
      const answer = verbs.plan.run(asAsked(one));
      return answer.ok ? answerOf(answer.value) : {};
    },
  },
  {
    name: 'command line',
    figures: (one) => {
      const answer = runVerb('plan', () => JSON.stringify(asAsked(one)), english);
      return answer.ok ? answerOf(answer.value) : {};
    },
  },
  {
    name: 'stored program',
    figures: ({ revision: { program } }) => ({
      wireFeedMPerMin: program.wireFeedMPerMin,
      trimMm: program.trimMm,
      ctwdMm: program.ctwdMm,
      gasFlowLPerMin: program.gasFlowLPerMin,
      travelMmPerMin: program.travelMmPerMin,
      pulseHz: program.pulse?.frequencyHz ?? null,
    }),
  },
  {
    name: 'stored use',
    figures: ({ revision }) => {
      const use = useFor(revision);
      return use ? { arcSeconds: use.arcSeconds, wireKg: use.wireKg, gasL: use.gasL, passes: use.passes } : {};
    },
  },
  {
    name: 'stock',
    figures: ({ seam }) => {
      const [one] = measureSeam(seam);
      return one ? { wireKg: one.use.wireKg, gasL: one.use.gasL, passes: one.use.starts } : {};
    },
  },
  {
    name: 'run plan',
    figures: ({ seam }) => {
      const order = {
        id: 'o',
        number: 'A 1',
        partId: seam.partId,
        partName: seam.partName,
        quantity: 3,
        done: 0,
        dueOn: '2026-01-09',
        version: 1,
        closed: false,
      };
      const [job] = dayJobs([order], [seam], '2026-01-05');
      return job
        ? {
            arcSeconds: job.arcMinutes * 60,
            wireKg: job.takes.wireKg,
            gasL: job.takes.gasL,
            wireFeedMPerMin: job.program.wireFeedMPerMin,
          }
        : {};
    },
  },
  {
    name: 'costs',
    figures: ({ revision, machine }) => {
      const plan = planSetting(planned(revision));
      if (!plan.ok || !revision.use) return {};
      const site = { circuitMOhm: machine.file.circuitMOhm, handlingMinutes: 2, tipLife: 100 };
      const { meanCurrentA, voltageV, slagSeconds } = plan.value;
      const takes = takesOf({ ...revision.use, meanCurrentA, voltageV, slagSeconds }, site);
      const now = candidatesFor(planned(revision), site).ways.find(({ isNow }) => isNow);
      return {
        arcSeconds: takes.arcMinutes * 60,
        wireKg: takes.wireKg,
        gasL: now?.takes.gasL ?? null,
        meanCurrentA,
      };
    },
  },
  {
    name: 'wire view',
    figures: ({ seam, revision, site }) => {
      const here = rankSizes(questionOf(seam.spec, seam.choice ?? revision.choice, site));
      const own = here.find(({ value }) => Math.abs(value - revision.choice.diameterMm) < 1e-9);
      const said = own?.reasons.map((reason) => english.format(reason)).join(' ') ?? '';
      // The size that stands is planned like the sheet: its own figures are in its reason.
      const [, feed, current] = /([\d.]+) m\/min for ([\d.]+) A/.exec(said) ?? [];
      return feed === undefined || current === undefined
        ? undefined
        : { wireFeedMPerMin: Number(feed), meanCurrentA: Number(current) };
    },
  },
  {
    name: 'dial card',
    figures: ({ revision, machine }) => {
      const file = asStands(machine);
      const { program } = revision;
      if (whyNot(file, program) !== null)
        return cardOf(file, program).cannot === null ? { wireFeedMPerMin: -1 } : undefined;
      const card = cardOf(file, program);
      const show = shouldShow(program, file);
      const feed = card.dials.find(({ quantity }) => quantity === 'wireFeedMPerMin');
      // What the dial is asked for, less what its step misses, is the program's own feed.
      return {
        runningA: show?.runningA ?? null,
        voltageV: show?.tipV ?? null,
        machineVoltageV: show?.runningV ?? null,
        ...(feed?.wishedQuantity === undefined || program.slowBeat ? {} : { wireFeedMPerMin: feed.wishedQuantity }),
      };
    },
  },
  {
    name: 'dials read back',
    figures: ({ revision, machine }) => {
      const file = asStands(machine);
      const { program } = revision;
      if (whyNot(file, program) !== null || program.slowBeat) return undefined;
      const card = cardOf(file, program);
      const read = readDials(file, Object.fromEntries(card.dials.map(({ dialId, value }) => [dialId, value])), {
        loaded: program,
        ctwdMm: program.ctwdMm,
      });
      if (!read.ok) return { wireFeedMPerMin: -1 };
      const half =
        card.dials.find(({ quantity }) => quantity === 'wireFeedMPerMin')?.halfStep ?? 0.03 * program.wireFeedMPerMin;
      const off = Math.abs(read.value.program.wireFeedMPerMin - program.wireFeedMPerMin);
      return { wireFeedMPerMin: off <= half + 1e-6 ? program.wireFeedMPerMin : read.value.program.wireFeedMPerMin };
    },
  },
  {
    name: 'simulator',
    figures: ({ revision: { program }, site }) => {
      const input = simulationOf(program, { circuitMOhm: site.circuitMOhm, seconds: 0.1, seed: 1 });
      const arc = arcOf(program, program.ctwdMm, program.trimMm);
      return {
        wireFeedMPerMin: input.wireFeedMPerMin,
        ctwdMm: input.ctwdMm,
        arcLengthMm: arc.lineMm + program.trimMm,
        meanCurrentA: arc.currentAt(program.wireFeedMPerMin) ?? null,
      };
    },
  },
  {
    name: 'trial',
    figures: ({ revision }) => {
      const { spec, choice, site, program } = revision;
      const plan = planSetting(ruleQuestion(spec, choice, site));
      if (!plan.ok) return {};
      const lengthMm = 100;
      const seconds = (lengthMm / program.travelMmPerMin) * 60;
      const timed = timedFigures({ seconds, lengthMm, by: 'machine' }, { powerW: plan.value.meanPowerW });
      return {
        travelMmPerMin: timed.travelMmPerMin,
        legMm: plan.value.legMm,
        heatInputKjPerMm: timed.heatInputKjPerMm,
      };
    },
  },
  {
    name: 'acceptance limits',
    figures: ({ revision: { spec, choice, site }, truth }) => {
      const limits = presetLimits(spec, choice, site, usualLevel);
      const { legMm } = truth.plan;
      // The leg that is planned lies inside what is accepted.
      const least = limits.legMm?.least ?? 0;
      return legMm === null ? undefined : { legMm: legMm >= least - 0.05 ? legMm : least };
    },
  },
  {
    name: 'trial plan',
    figures: ({ revision, truth }) => {
      const other = otherBeat(planned(revision), truth.plan);
      // The coupon of the other pulse is laid at the same feed and speed.
      return other?.ok
        ? { wireFeedMPerMin: other.value.plan.wireFeedMPerMin, travelMmPerMin: other.value.plan.travelMmPerMin }
        : undefined;
    },
  },
  {
    name: 'window',
    figures: ({ revision: { program, spec }, truth }) => {
      const { index } = showThrough(
        fillerOf(program.filler).family,
        truth.plan.meanCurrentA,
        truth.plan.voltageV,
        program.travelMmPerMin,
        Math.min(...spec.thicknessesMm),
      );
      return { showThrough: index, wireFeedMPerMin: program.wireFeedMPerMin };
    },
  },
  {
    name: 'procedure',
    text: {
      of: ({ revision, machine }) => {
        const question = questionOf(revision.spec, revision.choice, atMachine(revision.site, asStands(machine)));
        const plan = planSeam(question);
        if (!plan.ok) return undefined;
        return procedureSheet({ seam: question.seam, program: revision.program, plan: plan.value })
          .flatMap(({ rows }) => rows.map(({ value }) => english.format(value)))
          .join('\n');
      },
      holds: [...onProcedure, 'passes'],
    },
  },
  {
    name: 'printed procedure',
    text: {
      of: ({ seam, revision, machine }) =>
        textOf(
          procedureDocument(
            {
              seam,
              revision,
              machine,
              shopName: 'Test shop',
              passed: [],
              paper: 'A4',
              language: 'en',
              units: 'metric',
              printedAt: new Date(0),
              timeZone: 'UTC',
            },
            english,
          ),
        ),
      holds: onProcedure,
    },
  },
  {
    name: 'printed card',
    text: {
      of: ({ seam, revision, machine }) =>
        textOf(
          cardDocument(
            {
              seam,
              revision,
              machine,
              paper: 'A4',
              language: 'en',
              units: 'metric',
              printedAt: new Date(0),
              timeZone: 'UTC',
              slots: [],
              opens: null,
              own: null,
            },
            english,
          ),
        ),
      holds: ['gasFlowLPerMin', 'travelMmPerMin', 'runningA', 'machineVoltageV'],
    },
  },
];
