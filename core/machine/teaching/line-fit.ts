/**
 * A machine's own line from a few points of its door chart: current against feed as a power law, volts against feed as a straight line,
 * both held rising, least squares; thickness against feed between its points. Each point is judged by the fit through all the others.
 */
import { message, amount, joined, type Phrase } from '../../base/messages/index.ts';
import { steadyCurrentA } from '../../metal/melting/index.ts';
import { wireInGas } from '../../metal/arc/index.ts';
import { failure, success, type Issue, type Outcome } from '../../base/outcome/index.ts';
import { MM_PER_S_PER_M_PER_MIN } from '../../base/units/factors.ts';
import { arcOf, type ArcOf } from '../dials/arc-of.ts';
import type { ChartLine, ChartPoint } from '../description/machine.ts';
import { pulseStickOutMm } from '../../setting/plan/practice.ts';

export interface LineFit {
  /** Mean current in A at a feed in m/min; undefined without currents. */
  ampsAt(feedMPerMin: number): number | undefined;
  voltsAt(feedMPerMin: number): number | undefined;
  /** Thickness the chart names for a feed, mm; undefined without thicknesses or beyond them. */
  thicknessAt(feedMPerMin: number): number | undefined;
  feedAtThickness(thicknessMm: number): number | undefined;
  readonly points: readonly FittedPoint[];
}

export interface FittedPoint {
  readonly index: number;
  readonly wireFeedMPerMin: number;
  /** Feed that was computed from the current, since the chart names none. */
  readonly feedComputed: boolean;
  readonly thicknessMm?: number | undefined;
  readonly currentA?: number | undefined;
  readonly voltageV?: number | undefined;
  /** Read minus fitted. */
  readonly currentMissA?: number | undefined;
  readonly voltageMissV?: number | undefined;
  /** Why this point is doubted; absent when it fits the others. */
  readonly doubt?: Phrase;
}

/** A point off by more than this from the fit through the others is doubted: 8 % of current (the error of the melting table), 1.5 V. */
const doubtfulShare = 0.08;
const doubtfulV = 1.5;

/** Issues: `too-few-points`, `point-without-feed`, `duplicate-feed`, each with the point's place. */
export function fitLine(line: ChartLine, path = 'points'): Outcome<LineFit> {
  const points = line.points ?? [];
  const issues: Issue[] = [];
  const feedOf = feedFinder(line);
  const placed = points.flatMap((point, index): FittedPoint[] => {
    const feed = feedOf(point);
    if (feed === undefined) {
      issues.push({
        path: `${path}.${index}`,
        code: 'point-without-feed',
        message: message('machine.error.point-without-feed', { index: index + 1 }),
        got: point,
        hint: message('machine.hint.feed-or-chart-current'),
      });
      return [];
    }
    return [{ ...point, index, wireFeedMPerMin: feed, feedComputed: point.wireFeedMPerMin === undefined }];
  });
  for (const [at, point] of placed.entries()) {
    const twin = placed.slice(0, at).find((one) => Math.abs(one.wireFeedMPerMin - point.wireFeedMPerMin) < 1e-6);
    if (twin && (twin.currentA !== point.currentA || twin.voltageV !== point.voltageV)) {
      issues.push({
        path: `${path}.${point.index}`,
        code: 'duplicate-feed',
        message: message('machine.error.points-same-feed', {
          first: twin.index + 1,
          second: point.index + 1,
          wireFeed: amount('wireFeed', point.wireFeedMPerMin, 2),
        }),
        got: point.wireFeedMPerMin,
      });
    }
  }
  if (points.length < 2) {
    issues.push({
      path,
      code: 'too-few-points',
      message: message('machine.error.line-needs-points', { points: points.length }),
      limit: 2,
      got: points.length,
    });
  }
  if (issues.length > 0) return failure(...issues);
  const amps = fitAmps(placed);
  const volts = fitVolts(placed);
  const thick = placed
    .flatMap(({ thicknessMm, wireFeedMPerMin }) =>
      thicknessMm === undefined ? [] : [[wireFeedMPerMin, thicknessMm] as const],
    )
    .sort((a, b) => a[0] - b[0]);
  return success({
    ampsAt: (feed) => amps?.(feed),
    voltsAt: (feed) => volts?.(feed),
    thicknessAt: (feed) => between(thick, feed),
    feedAtThickness: (thickness) =>
      between(
        thick.map(([feed, mm]) => [mm, feed] as const),
        thickness,
      ),
    points: placed.map((point) => judged(point, placed, amps, volts)),
  });
}

type Curve = (feedMPerMin: number) => number;

function judged(point: FittedPoint, all: readonly FittedPoint[], amps?: Curve, volts?: Curve): FittedPoint {
  const others = all.filter((one) => one !== point);
  const currentMissA = missOf(point.currentA, amps, point);
  const voltageMissV = missOf(point.voltageV, volts, point);
  const doubts: Phrase[] = [];
  // With three points or more the others can speak against one; a feed computed from the current proves nothing about it.
  if (all.length > 2) {
    const current = point.feedComputed ? undefined : missOf(point.currentA, fitAmps(others), point);
    if (current !== undefined && point.currentA !== undefined && Math.abs(current) > doubtfulShare * point.currentA) {
      doubts.push(
        message('machine.because.current-off-line', {
          current: amount('current', point.currentA),
          off: amount('current', Math.abs(current), 0),
          side: current > 0 ? 'above' : 'other',
        }),
      );
    }
    const voltage = missOf(point.voltageV, fitVolts(others), point);
    if (voltage !== undefined && Math.abs(voltage) > doubtfulV) {
      doubts.push(
        message('machine.because.voltage-off-line', {
          voltage: amount('voltage', point.voltageV ?? 0),
          off: amount('voltage', Math.abs(voltage), 1),
          side: voltage > 0 ? 'above' : 'other',
        }),
      );
    }
  }
  const { doubt: _none, ...plain } = point;
  return { ...plain, currentMissA, voltageMissV, ...(doubts.length > 0 ? { doubt: joined(doubts, '; ') } : {}) };
}

function missOf(read: number | undefined, curve: Curve | undefined, point: FittedPoint): number | undefined {
  return read === undefined || !curve ? undefined : read - curve(point.wireFeedMPerMin);
}

/** ln I = a + b ln v with b ≥ 0. */
function fitAmps(points: readonly FittedPoint[]): Curve | undefined {
  const known = points.flatMap(({ currentA, wireFeedMPerMin }) =>
    currentA === undefined ? [] : [[Math.log(wireFeedMPerMin), Math.log(currentA)] as const],
  );
  const line = risingLine(known);
  return line && ((feed) => Math.exp(line(Math.log(feed))));
}

function fitVolts(points: readonly FittedPoint[]): Curve | undefined {
  return risingLine(
    points.flatMap(({ voltageV, wireFeedMPerMin }) =>
      voltageV === undefined ? [] : [[wireFeedMPerMin, voltageV] as const],
    ),
  );
}

/** Least squares straight line, its slope held at nought or above; undefined below two points. */
function risingLine(points: readonly (readonly [number, number])[]): Curve | undefined {
  if (points.length < 2) return undefined;
  const meanX = points.reduce((sum, [x]) => sum + x, 0) / points.length;
  const meanY = points.reduce((sum, [, y]) => sum + y, 0) / points.length;
  const spread = points.reduce((sum, [x]) => sum + (x - meanX) ** 2, 0);
  const slope = spread === 0 ? 0 : points.reduce((sum, [x, y]) => sum + (x - meanX) * (y - meanY), 0) / spread;
  return (x) => meanY + Math.max(slope, 0) * (x - meanX);
}

/** Straight between neighbours, nothing beyond the ends. */
function between(pairs: readonly (readonly [number, number])[], x: number): number | undefined {
  const sorted = [...pairs].sort((a, b) => a[0] - b[0]);
  for (const [at, [toX, toY]] of sorted.entries()) {
    const from = sorted[at - 1];
    if (Math.abs(toX - x) < 1e-9) return toY;
    if (from && x >= from[0] && x <= toX) return from[1] + ((x - from[0]) / (toX - from[0])) * (toY - from[1]);
  }
  return undefined;
}

/** Feed of a point: as printed, else what its current melts at the usual stick-out. */
function feedFinder(line: ChartLine): (point: ChartPoint) => number | undefined {
  let arc: ArcOf | undefined;
  return ({ wireFeedMPerMin, currentA }) => {
    if (wireFeedMPerMin !== undefined) return wireFeedMPerMin > 0 ? wireFeedMPerMin : undefined;
    if (currentA === undefined) return undefined;
    arc ??= arcOf(line, pulseStickOutMm(line.diameterMm), 0);
    return arc.feedAt(currentA);
  };
}

/** Current the model has for a feed of this line at the usual stick-out, to stand beside what the chart says. */
export function modelAmps(line: ChartLine, feedMPerMin: number): number {
  const ctwd = pulseStickOutMm(line.diameterMm);
  return (
    arcOf(line, ctwd, 0).currentAt(feedMPerMin) ??
    steadyCurrentA(wireInGas(line.filler, line.gas, line.diameterMm), feedMPerMin * MM_PER_S_PER_M_PER_MIN, ctwd - 4)
  );
}
