/** The way back: what stands on a machine's dials, read as physics. What no dial says is assumed by rule, and named. */
import { own } from '../../base/record/index.ts';
import type { LineFit } from '../teaching/line-fit.ts';
import { message, type Phrase } from '../../base/messages/index.ts';
import type { FillerCode } from '../../metal/consumables/index.ts';
import { failure, success, type Issue, type Outcome, type Warning } from '../../base/outcome/index.ts';
import { rangeIssue } from '../../base/outcome/range.ts';
import { gasFlow, isPulsed, stickOutMm, type PlanMode } from '../../setting/plan/index.ts';
import { solvePulse } from '../../setting/pulse/index.ts';
import { usualSequence, type TriggerSchool } from '../../weld/sequence/index.ts';
import { calibrationOf } from '../../metal/arc/index.ts';
import { arcOf } from './arc-of.ts';
import { gasTrimMm, servesGas } from '../description/chart.ts';
import type { Dial, Machine } from '../description/machine.ts';
import { pulseOf, type Program, type ProgramPulse } from '../../setting/program/program.ts';
import { quantityFacts, type DialQuantity } from '../description/quantities.ts';
import { isNumeric, quantityAt, quantityOf, type Facet } from '../description/scales.ts';
import { toldDials } from '../description/told-dials.ts';
import { inOrder } from '../description/dial-order.ts';
import { notOnDial } from './on-dial.ts';
import { taughtLine } from './translate.ts';
import { beatFromFigures, neutralOffsetMm, type Figures } from './wished.ts';

export interface DialReading {
  readonly program: Program;
  /** What the dials said. */
  readonly read: readonly DialQuantity[];
  /** What they did not say and was taken from rules of practice, in words. */
  readonly assumed: readonly Phrase[];
  readonly warnings: readonly Warning[];
}

/** What is known beside the dials. */
export interface BesideDials {
  /** What is threaded and connected, where no chart line says it. */
  readonly loaded?: { readonly filler: FillerCode; readonly diameterMm: number; readonly gas: string } | undefined;
  readonly ctwdMm?: number | undefined;
  readonly travelMmPerMin?: number | undefined;
}

/** Each round leaves a tenth of the error of the one before; four reach a hundredth of a dial's step. */
const leadRounds = 4;

/** Issues: `unknown-dial`, `not-on-dial`, `unknown-chart-line`, `wire-unknown`, `feed-unknown`, ranges of feed. */
export function readDials(
  machine: Machine,
  values: Readonly<Record<string, number>>,
  beside: BesideDials = {},
): Outcome<DialReading> {
  const issues: Issue[] = Object.keys(values)
    .filter((id) => !toldDials(machine).some((dial) => dial.id === id))
    .map((id) => ({
      path: `dials.${id}`,
      code: 'unknown-dial',
      message: message('machine.has-no-dial', { machine: machine.name, id }),
      limit: toldDials(machine).map((dial) => dial.id),
      got: id,
    }));
  const set = toldDials(machine).flatMap((dial) => {
    const value = own(values, dial.id);
    return value === undefined ? [] : [{ dial, value }];
  });
  issues.push(...set.flatMap(({ dial, value }) => notOnDial(dial, value)));
  const chart = set.find(({ dial }) => dial.scale.kind === 'chart-line');
  const line = chart && machine.chartLines.find((one) => one.number === chart.value);
  if (chart && !line) {
    issues.push({
      path: `dials.${chart.dial.id}`,
      code: 'unknown-chart-line',
      message: message('machine.error.no-chart-line', { machine: machine.name, value: chart.value }),
      got: chart.value,
    });
  }
  const facets = facetsRead(set);
  // Of the gases under one number, the one that is connected.
  const connected = beside.loaded?.gas;
  const gas = line && connected !== undefined && servesGas(line, connected) ? connected : line?.gas;
  const wire = wireOf(line && gas !== undefined ? { ...line, gas } : beside.loaded, facets);
  if (!wire && issues.length === 0) {
    issues.push({
      path: 'dials',
      code: 'wire-unknown',
      message: message('machine.error.wire-and-gas-unknown', { machine: machine.name }),
      hint: message('machine.hint.chart-line-or-loaded'),
    });
  }
  if (issues.length > 0 || !wire) return failure(...issues);

  const lineMode: PlanMode = (facets.mode as PlanMode | undefined) ?? line?.mode ?? 'pulse';
  const ctwdMm = beside.ctwdMm ?? stickOutMm(lineMode, wire.diameterMm, wire.gas);
  const figures = figuresRead(set, arcOf({ ...wire, mode: lineMode }, ctwdMm, 0).wire.eVPerMm);
  const taught = taughtLine(line ?? null);
  const trimAlone = (figures.trimMm ?? 0) + gasTrimMm(line, wire.gas);
  const correction = calibrationOf(machine.corrections, wire);
  const arcAt = (trimMm: number) => arcOf({ ...wire, mode: lineMode }, ctwdMm, trimMm, correction);
  const { currentA, feedIn } = masterFigure(figures, taught);
  // The current that flows in the leads is that of the arc as it then stands, and the feed of a current is that of the same arc: both are
  // found together, begun at the line, where every wire still burns.
  let setFeed =
    feedIn ?? (currentA === undefined ? undefined : arcAt(0).feedAt(currentA)) ?? figures.beatHighFeedMPerMin;
  let offset = setFeed === undefined ? 0 : neutralOffsetMm(machine, taught, arcAt(0), setFeed);
  for (let round = 0; setFeed !== undefined && round < leadRounds; round += 1) {
    const there = arcAt(trimAlone + offset);
    if (currentA !== undefined) setFeed = there.feedAt(currentA) ?? setFeed;
    // More than the wire burns: no current to correct by, so the guess stands.
    if (there.currentAt(setFeed) === undefined) break;
    offset = neutralOffsetMm(machine, taught, there, setFeed);
  }
  if (setFeed === undefined) {
    return failure({
      path: 'dials',
      code: 'feed-unknown',
      message: message('machine.error.no-dial-sets-feed', { machine: machine.name }),
      hint: message('machine.error.no-steady-pulse'),
    });
  }
  const feedIssue = rangeIssue('wireFeedMPerMin', setFeed, 'dials');
  if (feedIssue) return failure(feedIssue);

  const beat =
    machine.beatSchool !== null && isPulsed(lineMode) && facets.mode !== 'pulse'
      ? beatFromFigures(machine.beatSchool, { ...figures, wireFeedMPerMin: setFeed })
      : undefined;
  const mode: PlanMode = beat ? 'double-pulse' : lineMode === 'double-pulse' ? 'pulse' : lineMode;
  const wireFeedMPerMin = beat?.meanFeedMPerMin ?? setFeed;
  const trimMm = trimAlone + offset;
  const { pulse, warnings } = isPulsed(mode)
    ? pulseRead(wire, wireFeedMPerMin, Math.max(ctwdMm - arcAt(trimMm).lineMm - trimMm, 3), figures)
    : { pulse: null, warnings: [] };
  const usual = usualSequence(wire.filler, 3, 300);
  const percent = (level: number | undefined, otherwise: number) =>
    level === undefined ? otherwise : (100 * level) / wireFeedMPerMin;
  const program: Program = {
    ...wire,
    mode,
    wireFeedMPerMin,
    trimMm,
    stiffness: figures.stiffness ?? 0,
    pulse,
    slowBeat: beat ?? null,
    sequence: {
      ...usual,
      trigger: (facets.trigger as TriggerSchool | undefined) ?? usual.trigger,
      preGasS: figures.preGasS ?? usual.preGasS,
      runInPercent: percent(figures.runInFeedMPerMin, usual.runInPercent),
      startPercent: percent(figures.startFeedMPerMin, usual.startPercent),
      startS: figures.startS ?? usual.startS,
      slopeInS: figures.slopeInS ?? usual.slopeInS,
      slopeOutS: figures.slopeOutS ?? usual.slopeOutS,
      endPercent: percent(figures.endFeedMPerMin, usual.endPercent),
      endS: figures.endS ?? usual.endS,
      startTrimMm: figures.startTrimMm === undefined ? 0 : figures.startTrimMm - trimAlone,
      endTrimMm: figures.endTrimMm === undefined ? 0 : figures.endTrimMm - trimAlone,
      secondTrimMm: figures.secondTrimMm === undefined ? 0 : figures.secondTrimMm - trimAlone,
      secondPercent: percent(figures.secondFeedMPerMin, usual.secondPercent),
      spotS: figures.spotS ?? usual.spotS,
      stitchOnS: figures.stitchOnS ?? usual.stitchOnS,
      stitchOffS: figures.stitchOffS ?? usual.stitchOffS,
      burnBackMs: figures.burnBackMs ?? usual.burnBackMs,
      postGasS: figures.postGasS ?? usual.postGasS,
    },
    ctwdMm,
    travelMmPerMin: beside.travelMmPerMin ?? usualTravelMmPerMin,
    gasFlowLPerMin: figures.gasFlowLPerMin ?? gasFlow(mode, wire.filler, wire.diameterMm).flowLPerMin,
    origin: 'read from a machine',
  };
  const read = Object.keys(figures) as DialQuantity[];
  return success({ program, read, assumed: assumedWords(figures, beside, facets), warnings });
}

/** What the master dial says: a feed, a thickness of the chart that stands for one, or the current a feed has to be found for. */
function masterFigure(
  figures: Figures,
  taught: LineFit | undefined,
): { readonly currentA?: number | undefined; readonly feedIn?: number | undefined } {
  if (figures.wireFeedMPerMin !== undefined) return { feedIn: figures.wireFeedMPerMin };
  if (figures.meanCurrentA !== undefined) return { currentA: figures.meanCurrentA };
  return figures.chartThicknessMm === undefined ? {} : { feedIn: taught?.feedAtThickness(figures.chartThicknessMm) };
}

/** Travel is in the hand, not on the machine; assumed, mm/min. */
const usualTravelMmPerMin = 400;

interface Standing {
  readonly dial: Dial;
  readonly value: number;
}

function facetsRead(set: readonly Standing[]): Partial<Record<Facet, string>> {
  const found: Partial<Record<Facet, string>> = {};
  for (const { dial, value } of set) {
    if (dial.scale.kind === 'named') {
      const is = dial.scale.positions[value]?.is[0];
      if (is !== undefined) found[dial.scale.facet] = is;
    }
  }
  return found;
}

function wireOf(
  from: { readonly filler: FillerCode; readonly diameterMm: number; readonly gas: string } | undefined,
  facets: Partial<Record<Facet, string>>,
): { filler: FillerCode; diameterMm: number; gas: string } | undefined {
  if (!from) return undefined;
  const { filler, diameterMm, gas } = from;
  return { filler: (facets.filler as FillerCode | undefined) ?? filler, diameterMm, gas };
}

/** Physical figures of all numeric dials, with what one dial drags along added to the quantity it drags. */
function figuresRead(set: readonly Standing[], fieldVPerMm: number): Figures {
  const values = new Map(set.map(({ dial, value }) => [dial.id, value]));
  const reached = new Map<string, number>();
  const figures: Figures = {};
  const dragged: Figures = {};
  for (const { id, scale, unitTested } of inOrder(set.map(({ dial }) => dial))) {
    const value = values.get(id);
    // A unit that nobody measured says no figure.
    if (value === undefined || !isNumeric(scale) || unitTested === false) continue;
    const own = quantityAt(scale, value, { fieldVPerMm, reached: (other) => reached.get(other) });
    if (own === undefined || !Number.isFinite(own)) continue;
    // Dials that drag come first, so a base that is dragged is known whole before a percentage leans on it.
    reached.set(id, own + (dragged[quantityOf(scale)] ?? 0));
    figures[quantityOf(scale)] = own;
    if (scale.kind === 'linear' && scale.also) {
      const { quantity, quantityPerUnit } = scale.also;
      dragged[quantity] = (dragged[quantity] ?? 0) + (value - scale.neutral) * quantityPerUnit;
    }
  }
  for (const [quantity, by] of Object.entries(dragged) as [DialQuantity, number][]) {
    figures[quantity] = (figures[quantity] ?? 0) + by;
  }
  return figures;
}

function pulseRead(
  wire: { filler: FillerCode; diameterMm: number; gas: string },
  wireFeedMPerMin: number,
  extensionMm: number,
  { peakCurrentA, peakTimeMs, backgroundCurrentA, frequencyHz }: Figures,
): { pulse: ProgramPulse | null; warnings: Warning[] } {
  const at = { ...wire, wireFeedMPerMin, extensionMm };
  const asDialled = solvePulse({ ...at, peakCurrentA, peakTimeMs, backgroundCurrentA, frequencyHz });
  if (asDialled.ok) {
    return {
      pulse: { ...pulseOf(asDialled.value), ...(peakCurrentA === undefined ? {} : { peakCurrentA }) },
      warnings: [],
    };
  }
  const own = solvePulse(at);
  return {
    pulse: own.ok ? pulseOf(own.value) : null,
    warnings: [
      {
        code: 'pulse-does-not-balance',
        level: 'caution',
        message: message('machine.hint.feed-current-or-thickness', { message: asDialled.issues[0]?.message ?? '' }),
      },
    ],
  };
}

function assumedWords(figures: Figures, beside: BesideDials, facets: Partial<Record<Facet, string>>): Phrase[] {
  const quantities: DialQuantity[] = [
    'trimMm',
    'stiffness',
    'gasFlowLPerMin',
    'startFeedMPerMin',
    'endFeedMPerMin',
    'burnBackMs',
  ];
  return [
    ...(beside.ctwdMm === undefined ? ['stick-out'] : []),
    ...(beside.travelMmPerMin === undefined ? ['travel'] : []),
    ...(facets.trigger === undefined ? ['trigger'] : []),
    ...quantities.filter((quantity) => figures[quantity] === undefined).map((quantity) => quantityFacts(quantity).name),
  ];
}
