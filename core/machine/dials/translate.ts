/** A program said in one machine's own dials, quantised as that machine would, with the miss in physical terms and what it cannot say. */
import { handOfDial } from '../description/hand-of-dial.ts';
import { message, amount, joined, type Phrase } from '../../base/messages/index.ts';
import { modeName } from '../../setting/plan/index.ts';
import type { Warning } from '../../base/outcome/index.ts';
import { chartLineFor, gasTrimMm, lookAlikes } from '../description/chart.ts';
import { dialActs, inOrder } from '../description/dial-order.ts';
import { whyNot, type CannotWeld } from './can-weld.ts';
import type { DialSetting } from './dial-setting.ts';
import { toldDials } from '../description/told-dials.ts';
import { bothReadings } from '../teaching/direction.ts';
import { fitLine, type LineFit } from '../teaching/line-fit.ts';
import { limitWarnings } from './limit-warnings.ts';
import type { ChartLine, Dial, Machine } from '../description/machine.ts';
import { notCarried, type NotCarried } from './not-carried.ts';
import type { Program } from '../../setting/program/program.ts';
import { actsIn, quantityFacts, quantityText, type DialQuantity } from '../description/quantities.ts';
import {
  displayed,
  halfStep,
  isNumeric,
  nearestValue,
  quantityAt,
  quantityOf,
  type Facet,
  type NumericScale,
  type ScaleContext,
} from '../description/scales.ts';
import { schoolOn } from '../description/trigger-mode.ts';
import { withinMachine } from './within-machine.ts';
import { wishedFigures, type Figures, type Wished } from './wished.ts';

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

/** What turning a dial up does, in words; undefined where the label alone says it. */
export function senseWords(scale: NumericScale): Phrase | undefined {
  const { more, less } = quantityFacts(quantityOf(scale));
  const neutral = (at: number) => message('machine.is-the-line', { scale: displayed(scale, at) });
  if (scale.kind === 'linear') {
    const words = message('machine.dial.more-is', { less: scale.quantityPerUnit > 0 ? more : less });
    return scale.quantity === 'trimMm' ? joined([words, neutral(scale.neutral)], ', ') : words;
  }
  if (scale.kind === 'line-offset') {
    return message('machine.dial.more-is-neutral', {
      less: scale.voltsPerUnit > 0 ? more : less,
      neutral: neutral(scale.neutral),
    });
  }
  if (scale.kind === 'inverse') return message('machine.dial.more-is', { less });
  return undefined;
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

function chartWarnings(
  machine: Machine,
  line: ChartLine | null,
  similar: readonly ChartLine[],
  program: Program,
): Warning[] {
  if (!line) {
    if (machine.chartLines.length === 0) return [];
    return [
      {
        code: 'no-chart-line',
        level: 'caution',
        message: message('machine.caution.no-chart-line-in-mode', {
          machine: machine.name,
          mode: modeName(program.mode),
        }),
      },
    ];
  }
  const [first] = similar;
  if (!first) return [];
  return [
    {
      code: 'look-alike-number',
      level: 'caution',
      message: message('machine.caution.chart-lines-confused', {
        number: line.number,
        words: joined(
          similar.map((one) => `${one.number} (${one.words})`),
          ' / ',
        ),
      }),
    },
  ];
}

/** A dial whose unit nobody measured: where it is neutral, and which way to turn it from there; no figure. */
function turnOnly(
  face: Pick<DialSetting, 'dialId' | 'label' | 'where' | 'unit' | 'hand'>,
  scale: Extract<NumericScale, { kind: 'linear' }>,
  wish: number,
  saysSense: boolean,
): DialSetting {
  const quantity = quantityOf(scale);
  const by = wish - scale.quantityAtNeutral;
  const isNoticed = Math.abs(by) >= quantityFacts(quantity).noticed;
  const turn = !isNoticed ? 'stay' : by > 0 === scale.quantityPerUnit > 0 ? 'up' : 'down';
  const neutral = displayed(scale, scale.neutral);
  return {
    ...face,
    quantity,
    value: scale.neutral,
    turn,
    display: turn === 'stay' ? neutral : `${turn === 'up' ? '▲' : '▼'} ${neutral}`,
    ...(saysSense ? { sense: senseWords(scale) } : {}),
    clipped: false,
  };
}

function dialWarnings(settings: readonly DialSetting[], program: Program): Warning[] {
  const warnings: Warning[] = [];
  for (const dial of settings) {
    const { quantity, wishedQuantity: wish, reachedQuantity: reached } = dial;
    if (dial.clipped && wish !== undefined && reached !== undefined) {
      warnings.push({
        code: 'dial-at-its-end',
        level: 'caution',
        message: message('machine.caution.end-of-dial', {
          dial: dial.label,
          display: dial.display,
          reached: quantityText(quantity as DialQuantity, reached),
          wish: quantityText(quantity as DialQuantity, wish),
        }),
      });
    }
    if (dial.turn) {
      const neutral = dial.display.replace(/^[▲▼] /, '');
      warnings.push({
        code: 'unit-not-measured',
        level: 'caution',
        message:
          dial.turn === 'stay'
            ? message('machine.unit-stays', { dial: dial.label, neutral })
            : message('machine.unit-not-measured', {
                dial: dial.label,
                way: message(`machine.way-${dial.turn}`),
                neutral,
              }),
      });
    }
    if (dial.bothReadings) {
      warnings.push({ code: 'sense-untested', level: 'caution', message: dial.bothReadings.consequence });
    }
  }
  const start = settings.find((dial) => dial.quantity === 'startFeedMPerMin');
  if (start && program.sequence.startPercent > 100 && start.unit !== '%') {
    warnings.push({
      code: 'absolute-start',
      level: 'note',
      message: message('machine.caution.start-level-absolute', {
        start: start.label,
        percent: amount('percent', program.sequence.startPercent),
      }),
    });
  }
  return warnings;
}
