/** A program said in one machine's own dials, quantised as that machine would, with the miss in physical terms and what it cannot say. */
import { amount, message } from '../../base/messages/index.ts';
import type { Warning } from '../../base/outcome/index.ts';
import type { Program } from '../../setting/program/program.ts';
import { chartLineFor, gasTrimMm, lookAlikes } from '../description/chart.ts';
import { dialActs, inOrder } from '../description/dial-order.ts';
import { handOfDial } from '../description/hand-of-dial.ts';
import type { ChartLine, Dial, Machine } from '../description/machine.ts';
import type { DialQuantity } from '../description/quantities.ts';
import { actsIn } from '../description/quantity-words.ts';
import {
  displayed,
  type Facet,
  halfStep,
  isNumeric,
  nearestValue,
  quantityAt,
  quantityOf,
  type ScaleContext,
} from '../description/scales.ts';
import { toldDials } from '../description/told-dials.ts';
import { schoolOn } from '../description/trigger-mode.ts';
import { bothReadings } from '../teaching/direction.ts';
import { fitLine, type LineFit } from '../teaching/line-fit.ts';
import { type CannotWeld, whyNot } from './can-weld.ts';
import type { DialSetting } from './dial-setting.ts';
import { chartWarnings, dialWarnings, senseWords, turnOnly } from './dial-warnings.ts';
import { limitWarnings } from './limit-warnings.ts';
import { type NotCarried, notCarried } from './not-carried.ts';
import { type Figures, type Wished, wishedFigures } from './wished.ts';
import { withinMachine } from './within-machine.ts';

export interface ShownFigure {
  readonly id: string;
  readonly label: string;
  readonly where: string;
  readonly unit: string;
  readonly quantity: DialQuantity;
  readonly display: string;
}

export interface Translation {
  /** Why this machine cannot weld it; null: it can. */
  readonly cannot: CannotWeld | null;
  readonly dials: readonly DialSetting[];
  /** What the machine's own displays should then show. */
  readonly displays: readonly ShownFigure[];
  /** Arc length that the dials' steps really give, mm; a machine without such a dial burns its own line. */
  readonly arcMm: number;
  /** Number on the chart, or null when this machine has no line for the wire, gas and mode. */
  readonly programNumber: number | null;
  readonly chartLine: ChartLine | null;
  /** Numbers easily taken for it that mean another wire, gas or mode. */
  readonly lookAlikes: readonly ChartLine[];
  /** Quantities that a dial carries without running out. */
  readonly carried: readonly DialQuantity[];
  readonly notCarried: readonly NotCarried[];
  readonly warnings: readonly Warning[];
}

export function translate(machine: Machine, asked: Program): Translation {
  const program = withinMachine(asked, machine);
  const chartLine = chartLineFor(machine.chartLines, program) ?? null;
  // A gas that shares the number burns its own arc at the dial's neutral; the dial has to make up for it.
  const told = { ...program, trimMm: program.trimMm - gasTrimMm(chartLine, program.gas) };
  const line = taughtLine(chartLine);
  const exact = wishedFigures(told, machine, line);
  const cannot = whyNot(machine, asked);
  const first = setDials(machine, told, exact, chartLine);
  const feed = first.find((dial) => dial.quantity === 'wireFeedMPerMin');
  const amperes = first.find((dial) => dial.quantity === 'meanCurrentA');
  // An ampere dial asks for the current of the arc that the other dial's step will really give.
  const trimMissMm = amperes ? (first.find((dial) => dial.quantity === 'trimMm')?.error ?? 0) : 0;
  const feedMiss = feed?.reachedQuantity !== undefined && Math.abs(feed.error ?? 0) > 1e-9;
  const isCoarse = feedMiss || trimMissMm !== 0;
  const wished = isCoarse ? wishedFigures(told, machine, line, feed?.reachedQuantity, trimMissMm) : exact;
  const settings = isCoarse ? setDials(machine, told, wished, chartLine) : first;
  const similar = chartLine ? lookAlikes(machine.chartLines, chartLine) : [];
  const carried = settings.flatMap((dial) =>
    dial.wishedQuantity !== undefined && !dial.clipped ? [dial.quantity as DialQuantity] : [],
  );
  const trimDial = settings.find(({ quantity }) => quantity === 'trimMm');
  const arcMm = wished.arc.lineMm + (trimDial ? program.trimMm + (trimDial.error ?? 0) : wished.lineOffsetMm);
  return {
    cannot,
    arcMm,
    dials: settings,
    displays: shownFigures(machine, program, wished, settings),
    programNumber: chartLine?.number ?? null,
    chartLine,
    lookAlikes: similar,
    carried: [...new Set(carried)],
    notCarried: notCarried(machine, program, wished, settings),
    warnings: [
      ...chartWarnings(machine, chartLine, similar, program),
      ...dialWarnings(settings, program),
      ...heldPeak(machine, asked, program),
      ...limitWarnings(machine, program, wished),
    ],
  };
}

function heldPeak({ name, limits }: Machine, { pulse: asked }: Program, { pulse: held }: Program): Warning[] {
  if (!asked || !held || asked.peakCurrentA === held.peakCurrentA) return [];
  return [
    {
      code: 'peak-held-by-machine',
      level: 'note',
      message: message('machine.caution.peak-lowered', {
        name,
        most: amount('current', limits.peakCurrentA),
        wanted: amount('current', asked.peakCurrentA, 0),
        given: amount('current', held.peakCurrentA, 0),
        time: amount('pulseTime', held.peakTimeMs, 2),
        wantedTime: amount('plain', asked.peakTimeMs, 2),
      }),
    },
  ];
}

/** The fit of a line that was taught; a line without points has none. */
export function taughtLine(line: ChartLine | null): LineFit | undefined {
  if (!line?.points || line.points.length < 2) return undefined;
  const fit = fitLine(line);
  return fit.ok ? fit.value : undefined;
}

function setDials(machine: Machine, program: Program, wished: Wished, line: ChartLine | null): DialSetting[] {
  const reached = new Map<string, number>();
  const dragged: Figures = {};
  const context: ScaleContext = {
    fieldVPerMm: wished.arc.wire.eVPerMm,
    reached: (id) => reached.get(id),
  };
  const byId = new Map<string, DialSetting>();
  const school = schoolOn(machine, program.sequence.trigger);
  for (const dial of inOrder(toldDials(machine))) {
    if (!dialActs(dial, program, school)) continue;
    const setting = withLevel(
      setDial(dial, { ...program, sequence: { ...program.sequence, trigger: school } }, wished, line, context, dragged),
      machine,
      program,
    );
    if (!setting) continue;
    byId.set(dial.id, setting);
    if (setting.reachedQuantity !== undefined) reached.set(dial.id, setting.reachedQuantity);
    if (dial.scale.kind === 'linear' && dial.scale.also) {
      const { quantity, quantityPerUnit } = dial.scale.also;
      dragged[quantity] = (dragged[quantity] ?? 0) + (setting.value - dial.scale.neutral) * quantityPerUnit;
    }
  }
  // The number first: it changes what every other line means.
  const settings = toldDials(machine).flatMap(({ id }) => byId.get(id) ?? []);
  const isNumber = ({ quantity }: DialSetting) => quantity === 'chart-line';
  return [...settings.filter(isNumber), ...settings.filter((dial) => !isNumber(dial))];
}

/** In double pulse the master dial shows another level in each school. */
function withLevel(
  setting: DialSetting | undefined,
  { beatSchool }: Machine,
  program: Program,
): DialSetting | undefined {
  const isMaster = setting?.quantity === 'wireFeedMPerMin' || setting?.quantity === 'meanCurrentA';
  if (!setting || !isMaster || !program.slowBeat || !beatSchool) return setting;
  return {
    ...setting,
    level: beatSchool === 'swing' ? message('machine.mean-of-double-pulse') : message('machine.slow-high-level'),
  };
}

function setDial(
  dial: Dial,
  program: Program,
  wished: Wished,
  line: ChartLine | null,
  context: ScaleContext,
  dragged: Figures,
): DialSetting | undefined {
  const { id, label, where, unit, scale } = dial;
  const face = { dialId: id, label, where, unit, hand: handOfDial(dial) } as const;
  if (scale.kind === 'chart-line') {
    return line
      ? {
          ...face,
          quantity: 'chart-line',
          value: line.number,
          display: String(line.number),
          clipped: false,
        }
      : undefined;
  }
  if (scale.kind === 'named') {
    const value = scale.positions.findIndex((position) => position.is.includes(facetOf(program, scale.facet)));
    return value < 0
      ? undefined
      : {
          ...face,
          quantity: scale.facet,
          value,
          display: displayed(scale, value),
          clipped: false,
        };
  }
  const quantity = quantityOf(scale);
  const wish = wished.figures[quantity];
  if (wish === undefined) return undefined;
  if (dial.unitTested === false && scale.kind === 'linear') return turnOnly(face, scale, wish, needsSense(dial));
  const target = wish - (dragged[quantity] ?? 0);
  const found = nearestValue(scale, target, context);
  if (!found) return undefined;
  const own = quantityAt(scale, found.value, context);
  if (own === undefined) return undefined;
  const reachedQuantity = own + (dragged[quantity] ?? 0);
  const sense = needsSense(dial) ? senseWords(scale) : undefined;
  const both = dial.senseTested === false ? bothReadings(dial, found.value, reachedQuantity, program) : undefined;
  return {
    ...face,
    quantity,
    value: found.value,
    display: displayed(scale, found.value),
    ...(sense === undefined ? {} : { sense }),
    wishedQuantity: wish,
    reachedQuantity,
    error: reachedQuantity - wish,
    halfStep: halfStep(scale, found.value, context),
    clipped: found.clipped,
    ...(both ? { bothReadings: both } : {}),
  };
}

/** Quantities whose direction a unit alone does not settle. */
const twoWay: ReadonlySet<DialQuantity> = new Set(['trimMm', 'stiffness', 'beatHighSharePercent', 'burnBackMs']);

/** A bare number, a reversed dial or a quantity with two schools wants its sense beside it; "faster" beside m/min is noise. */
function needsSense({ unit, scale, senseTested }: Dial): boolean {
  if (!isNumeric(scale)) return false;
  const isReversed =
    (scale.kind === 'linear' && scale.quantityPerUnit < 0) ||
    (scale.kind === 'line-offset' && scale.voltsPerUnit < 0) ||
    scale.kind === 'inverse';
  return unit === '' || isReversed || senseTested !== undefined || twoWay.has(quantityOf(scale));
}

export function facetOf(program: Program, facet: Facet): string {
  if (facet === 'mode') return program.mode;
  if (facet === 'filler') return program.filler;
  return program.sequence.trigger;
}

function shownFigures(
  machine: Machine,
  program: Program,
  { figures }: Wished,
  settings: readonly DialSetting[],
): ShownFigure[] {
  return machine.displays.flatMap(({ id, label, where, unit, quantity, digits }) => {
    // The display shows what the dials reach, where one of them moves it.
    const value = settings.find((dial) => dial.quantity === quantity)?.reachedQuantity ?? figures[quantity];
    if (value === undefined || !actsIn(quantity, program.mode)) return [];
    return [{ id, label, where, unit, quantity, display: value.toFixed(digits).replace('-', '−') }];
  });
}
