/**
 * How far a welder may move each quantity of a program, tested by the arc: every corner of the window over the spread that the shop has, and points
 * inside. Where a corner fails, the window is cut to the largest that holds.
 */
import { areaForTravel, filletLegMm } from '../../setting/bead/index.ts';
import { fillerOf } from '../../metal/consumables/index.ts';
import { showThrough } from '../../setting/heat-input/index.ts';
import { arcOf, simulationOf } from '../../machine/dials/index.ts';
import { type Program } from '../../setting/program/index.ts';
import { failure, success, type Outcome } from '../../base/outcome/index.ts';
import { amount, message, type Said } from '../../base/messages/index.ts';
import { modeThresholds, simulate, type TransferMode } from '../../weld/simulation/index.ts';
import { mostDimensions, sobol } from './sobol.ts';

/** What a window is about: quantities a hand moves, absolute. */
export const windowQuantities = ['wireFeedMPerMin', 'trimMm', 'stiffness'] as const;
export type WindowQuantity = (typeof windowQuantities)[number];
/** What nobody holds: differences from what was planned. */
export const spreadQuantities = ['ctwdMm', 'leadMOhm', 'slip', 'pace'] as const;
export type SpreadQuantity = (typeof spreadQuantities)[number];

export type Range = readonly [number, number];
export type Window = Partial<Record<WindowQuantity, Range>>;
export type Spread = Partial<Record<SpreadQuantity, Range>>;

export interface WindowLimits {
  /** Left out: the program's own at its set point. */
  readonly transferModes?: readonly TransferMode[] | undefined;
  /** In pulse and spray. */
  readonly shortsPerS?: number | undefined;
  readonly showThrough?: number | undefined;
  readonly legMm?: Range | undefined;
}

export interface WindowInput {
  readonly program: Program;
  readonly circuitMOhm: number;
  readonly window: Window;
  readonly spread: Spread;
  readonly limits?: WindowLimits | undefined;
  /** The thinner plate; left out: what comes through is not judged. */
  readonly thicknessMm?: number | undefined;
  readonly plateC?: number | undefined;
  readonly seed?: number | undefined;
}

export type Point = Readonly<Record<WindowQuantity | SpreadQuantity, number>>;

export interface Tried {
  readonly point: Point;
  readonly ok: boolean;
  /** First limit that failed. */
  readonly why: Said | null;
  /** Distance to the nearest limit as a share of it; below zero it failed. */
  readonly margin: number;
  readonly transferMode: TransferMode;
  readonly shortsPerS: number;
}

export interface WindowTested {
  readonly transferMode: TransferMode;
  readonly corners: readonly Tried[];
  readonly inside: { readonly n: number; readonly failed: number };
  /** Share of welds that may fail inside, at 95 %. */
  readonly failureBelow95: number;
  readonly worst: Tried;
  readonly largestThatHolds: Window;
}

/** The spread that a shop has. Source: the design's rule. */
export const usualSpread: Required<Spread> = {
  ctwdMm: [-3, 3],
  leadMOhm: [-3, 5],
  slip: [0, 0.05],
  pace: [-0.12, 0.12],
};
export const insidePoints = 64;
const shortestS = 1;
const bisections = 5;
const rounds = 8;
/** A cut goes a little inside the last point that held. */
const inside = 0.98;

export function testWindow(input: WindowInput): Outcome<WindowTested> {
  const { program, spread, window, seed = 1 } = input;
  const middle: Point = {
    wireFeedMPerMin: program.wireFeedMPerMin,
    trimMm: program.trimMm,
    stiffness: program.stiffness,
    ctwdMm: 0,
    leadMOhm: 0,
    slip: 0,
    pace: 0,
  };
  const arc = arcs(input, seed);
  const own = arc(middle);
  if (!own.ok) return failure(...own.issues);
  const modes = input.limits?.transferModes ?? [own.value.transferMode];
  const judge = (point: Point): Tried => judged(input, modes, arc, point);
  const cornersOf = (one: Window) => points(middle, { ...one, ...spread }).map(judge);
  const corners = cornersOf(window);
  const worst = worstOf(corners);
  const dimensions = Object.entries({ ...window, ...spread }).filter(([, [low, high]]) => high > low);
  const scattered = sobol(insidePoints, Math.min(dimensions.length, mostDimensions), seed).map((shares) =>
    judge({
      ...middle,
      ...Object.fromEntries(
        dimensions.map(([name, [low, high]], at) => [name, low + (high - low) * (shares[at] ?? 0.5)]),
      ),
    }),
  );
  const failed = scattered.filter(({ ok }) => !ok).length;
  return success({
    transferMode: own.value.transferMode,
    corners,
    inside: { n: insidePoints, failed },
    failureBelow95: upper95(failed, insidePoints),
    worst,
    largestThatHolds: corners.every(({ ok }) => ok) ? window : largest(middle, window, cornersOf, judge),
  });
}

interface Burnt {
  readonly transferMode: TransferMode;
  readonly shortsPerS: number;
  readonly currentA: number;
  readonly voltageV: number;
}

/** Arcs by everything they depend on; pace is not among it. */
function arcs({ program, circuitMOhm }: WindowInput, seed: number): (point: Point) => Outcome<Burnt> {
  const known = new Map<string, Outcome<Burnt>>();
  const seconds = Math.max(shortestS, program.slowBeat ? 2 / program.slowBeat.frequencyHz : 0);
  return ({ pace: _pace, ...point }) => {
    const key = Object.values(point).join(' ');
    const found = known.get(key);
    if (found) return found;
    const run = { ...program, trimMm: point.trimMm, stiffness: point.stiffness };
    const feedFactor = point.wireFeedMPerMin / program.wireFeedMPerMin;
    const simulated = simulate(
      simulationOf(run, {
        circuitMOhm,
        seconds,
        seed,
        faults: {
          ctwdMm: program.ctwdMm + point.ctwdMm,
          leadExtraMOhm: point.leadMOhm,
          slip: point.slip,
          ...(Math.abs(feedFactor - 1) < 1e-9 ? {} : { feedFactor }),
        },
      }),
    );
    const made: Outcome<Burnt> = simulated.ok
      ? success({
          transferMode: simulated.value.transferMode,
          shortsPerS: simulated.value.metrics.shortsPerS,
          currentA: simulated.value.metrics.meanCurrentA,
          voltageV: simulated.value.metrics.meanVoltageV,
        })
      : failure(...simulated.issues);
    known.set(key, made);
    return made;
  };
}

function judged(
  { program, limits = {}, thicknessMm, plateC }: WindowInput,
  modes: readonly TransferMode[],
  arc: (point: Point) => Outcome<Burnt>,
  point: Point,
): Tried {
  const burnt = arc(point);
  if (!burnt.ok) {
    // A point that cannot be burned at all fails by that.
    return { point, ok: false, why: message('window.no-arc'), margin: -1, transferMode: 'stubbing', shortsPerS: 0 };
  }
  const { transferMode, shortsPerS, currentA, voltageV } = burnt.value;
  const travel = program.travelMmPerMin * (1 + point.pace);
  const checks: (readonly [margin: number, why: Said])[] = [];
  const isModeRight = modes.includes(transferMode);
  checks.push([
    isModeRight ? 1 : -0.5,
    message('window.transfer-turns', { mode: message(`window.mode-${transferMode}`) }),
  ]);
  const mostShorts = limits.shortsPerS ?? modeThresholds.pulsedShortsPerS;
  if (program.mode !== 'dip')
    checks.push([
      (mostShorts - shortsPerS) / mostShorts,
      message('window.shorts', { shorts: amount('plain', shortsPerS, 0), most: amount('plain', mostShorts, 0) }),
    ]);
  if (thicknessMm !== undefined) {
    const { index } = showThrough(fillerOf(program.filler).family, currentA, voltageV, travel, thicknessMm, plateC);
    const most = limits.showThrough ?? 1;
    checks.push([
      (most - index) / most,
      message('window.comes-through', { index: amount('plain', index, 2), most: amount('plain', most, 2) }),
    ]);
  }
  if (limits.legMm) {
    const [least, most] = limits.legMm;
    const { wire } = arcOf(program, program.ctwdMm, program.trimMm);
    const leg = filletLegMm(areaForTravel(wire, point.wireFeedMPerMin * (1 - point.slip), travel));
    checks.push([
      Math.min(leg - least, most - leg) / most,
      message('window.leg-becomes', {
        leg: amount('shortLength', leg, 1),
        least: amount('shortLength', least, 1),
        most: amount('shortLength', most, 1),
      }),
    ]);
  }
  const [margin, why] = checks.reduce((least, one) => (one[0] < least[0] ? one : least));
  return { point, ok: margin >= 0, why: margin >= 0 ? null : why, margin, transferMode, shortsPerS };
}

/** Every combination of the ends; what has no width stands in the middle. */
function points(middle: Point, ranges: Readonly<Record<string, Range>>): Point[] {
  let found: Record<string, number>[] = [{ ...middle }];
  for (const [name, [low, high]] of Object.entries(ranges)) {
    const ends = high > low ? [low, high] : [low];
    found = found.flatMap((one) => ends.map((end) => ({ ...one, [name]: end })));
  }
  return found as Point[];
}

function worstOf(tried: readonly Tried[]): Tried {
  return tried.reduce((least, one) => (one.margin < least.margin ? one : least));
}

/**
 * The largest that holds: at the worst corner each side that could be cut alone is bisected between the middle and the corner, and the cut that leaves
 * the most is taken; where none holds alone, both are cut along the ray.
 */
function largest(
  middle: Point,
  asked: Window,
  cornersOf: (window: Window) => Tried[],
  judge: (point: Point) => Tried,
): Window {
  let window: Window = asked;
  for (let round = 0; round < rounds; round++) {
    const corners = cornersOf(window);
    const worst = worstOf(corners);
    if (worst.ok) return window;
    window = cutAt(middle, window, worst, judge);
  }
  // Cuts that never hold leave nothing to move.
  const last = worstOf(cornersOf(window));
  return last.ok ? window : Object.fromEntries(Object.keys(asked).map((name) => [name, pointRange(middle, name)]));
}

function pointRange(middle: Point, name: string): Range {
  const value = middle[name as WindowQuantity];
  return [value, value];
}

function cutAt(middle: Point, window: Window, { point }: Tried, judge: (point: Point) => Tried): Window {
  const names = (Object.keys(window) as WindowQuantity[]).filter((name) => point[name] !== middle[name]);
  const alone = names.flatMap((name) => {
    const share = holdsUpTo((t) => judge({ ...point, [name]: middle[name] + t * (point[name] - middle[name]) }));
    return share === 0 ? [] : [{ names: [name], share, left: share }];
  });
  const ray = holdsUpTo((t) =>
    judge({
      ...point,
      ...Object.fromEntries(names.map((name) => [name, middle[name] + t * (point[name] - middle[name])])),
    }),
  );
  const cuts = [...alone, { names, share: ray, left: ray ** names.length }];
  const best = cuts.reduce((most, one) => (one.left > most.left ? one : most));
  return Object.fromEntries(
    Object.entries(window).map(([name, [low, high]]) => {
      const quantity = name as WindowQuantity;
      if (!best.names.includes(quantity)) return [name, [low, high]];
      const end = middle[quantity] + inside * best.share * (point[quantity] - middle[quantity]);
      return [name, point[quantity] < middle[quantity] ? [end, high] : [low, end]];
    }),
  );
}

/** Share of the way from the middle at which it still holds; nought where it does not even there. */
function holdsUpTo(at: (share: number) => Tried): number {
  if (!at(0).ok) return 0;
  let [low, high] = [0, 1];
  for (let step = 0; step < bisections; step++) {
    const half = (low + high) / 2;
    if (at(half).ok) low = half;
    else high = half;
  }
  return low;
}

/** Upper limit of the failing share at 95 %. Source: the rule of three where none failed, else Clopper and Pearson. */
export function upper95(failed: number, n: number): number {
  if (failed === 0) return 3 / n;
  if (failed >= n) return 1;
  let [low, high] = [failed / n, 1];
  for (let step = 0; step < 60; step++) {
    const p = (low + high) / 2;
    if (atMost(failed, n, p) > 0.05) low = p;
    else high = p;
  }
  return high;
}

/** Chance of at most so many failures. */
function atMost(failed: number, n: number, p: number): number {
  let term = (1 - p) ** n;
  let sum = term;
  for (let k = 1; k <= failed; k++) {
    term *= ((n - k + 1) / k) * (p / (1 - p));
    sum += term;
  }
  return sum;
}
