/**
 * A flat frame of square or rectangular tube, welded around its joints: bars of cells that meet in nodes, one temperature over a section. The wall at
 * the arc is warmer than its section; that near field every trial had too, and it is added where the arc is asked about.
 */
import { advanced, netOf, valueAt, type Link, type Net, type Shares } from './cells.ts';
import type { Part, PartField } from './part.ts';
import type { FrameShape, Place } from './shapes.ts';
import { perMm2 } from '../../base/units/convert.ts';

interface Bar {
  readonly from: number;
  readonly to: number;
}

export interface FrameLines {
  /** x, y in plan, mm; the first four are the corners, then each rung's two ends. */
  readonly joints: readonly (readonly [number, number])[];
  readonly bars: readonly Bar[];
}

const cellMm = 8;

export function frameLines({ lengthMm: l, widthMm: w, rungs }: FrameShape): FrameLines {
  const joints: (readonly [number, number])[] = [
    [0, 0],
    [l, 0],
    [l, w],
    [0, w],
  ];
  const low = [0];
  const high = [3];
  for (let rung = 1; rung <= rungs; rung++) {
    const x = (l * rung) / (rungs + 1);
    low.push(joints.length);
    high.push(joints.length + 1);
    joints.push([x, 0], [x, w]);
  }
  low.push(1);
  high.push(2);
  const along = (nodes: readonly number[]) => nodes.slice(1).map((to, at): Bar => ({ from: nodes[at] ?? 0, to }));
  return { joints, bars: [...along(low), ...along(high), ...low.map((from, at) => ({ from, to: high[at] ?? 0 }))] };
}

/** All around a tube, mm: what a joint is welded for. */
export function aroundMm({ tubeMm: [b, h] }: FrameShape): number {
  return 2 * (b + h);
}

/** The joint as a place: the end of a bar that meets it. */
export function atJoint(shape: FrameShape, joint: number): Place {
  const { joints, bars } = frameLines(shape);
  const bar = bars.findIndex(({ from, to }) => from === joint || to === joint);
  const one = bars[bar];
  return [one?.to === joint ? barMm(joints, one) : 0, 0, Math.max(bar, 0)];
}

export function barMm(joints: FrameLines['joints'], { from, to }: Bar): number {
  const [a, b] = [joints[from] ?? [0, 0], joints[to] ?? [0, 0]];
  return Math.hypot(b[0] - a[0], b[1] - a[1]);
}

export function framePart(shape: FrameShape): Part {
  const bars = barsOf(shape);
  return {
    diffusivityMm2PerS: shape.diffusivityMm2PerS,
    volumetricHeatJPerMm3K: shape.volumetricHeatJPerMm3K,
    lossWPerM2K: shape.lossWPerM2K,
    settledS: 0,
    field: () => fieldOf(bars, new Float64Array(bars.net.capacity.length)),
    recentRise: () => 0,
    sheetMmAt: () => shape.thicknessMm,
    holdsOwn: false,
  };
}

interface Bars {
  readonly net: Net;
  readonly lines: FrameLines;
  /** First cell and how many, by bar; the joints' cells come first of all. */
  readonly cells: readonly { readonly first: number; readonly count: number; readonly lengthMm: number }[];
}

function barsOf(shape: FrameShape): Bars {
  const lines = frameLines(shape);
  const { tubeMm, thicknessMm: t, volumetricHeatJPerMm3K, lossWPerM2K, diffusivityMm2PerS } = shape;
  const [b, h] = tubeMm;
  const section = 2 * t * (b + h - 2 * t);
  const conducts = diffusivityMm2PerS * volumetricHeatJPerMm3K * section;
  const capacity: number[] = lines.joints.map(() => 0);
  const loss: number[] = lines.joints.map(() => 0);
  const links: Link[] = [];
  const cells = lines.bars.map((bar) => {
    const lengthMm = barMm(lines.joints, bar);
    const count = Math.max(Math.round(lengthMm / cellMm), 3);
    const dx = lengthMm / count;
    const first = capacity.length;
    for (let at = 0; at < count; at++) {
      capacity.push(volumetricHeatJPerMm3K * section * dx);
      // Only the outside of a tube meets moving air.
      loss.push(perMm2(lossWPerM2K) * 2 * (b + h) * dx);
      if (at > 0) links.push({ a: first + at - 1, b: first + at, conductance: conducts / dx });
    }
    // The joint is the metal of half a tube's width of each bar that ends in it.
    for (const [joint, cell] of [
      [bar.from, first],
      [bar.to, first + count - 1],
    ] as const) {
      capacity[joint] = (capacity[joint] ?? 0) + (volumetricHeatJPerMm3K * section * b) / 2;
      links.push({ a: joint, b: cell, conductance: (2 * conducts) / dx });
    }
    return { first, count, lengthMm };
  });
  return { net: netOf(Float64Array.from(capacity), Float64Array.from(loss), links), lines, cells };
}

function fieldOf(bars: Bars, start: Float64Array): PartField {
  let rise = start;
  return {
    advance(seconds, sources = []) {
      const heats = sources.map(({ at, powerW }) => ({ shares: sharesAt(bars, at), powerW }));
      rise = advanced(bars.net, rise, seconds, heats.length === 0 ? undefined : () => heats);
    },
    riseAt: (place) => valueAt(rise, sharesAt(bars, place)),
    copy: () => fieldOf(bars, rise),
  };
}

function sharesAt({ lines, cells }: Bars, [mm, , on = 0]: Place): Shares {
  const bar = lines.bars[on];
  const its = cells[on];
  if (!bar || !its) return [];
  const dx = its.lengthMm / its.count;
  const along = Math.min(Math.max(mm, 0), its.lengthMm) / dx - 0.5;
  if (along <= 0) return pair(bar.from, its.first, (along + 0.5) / 0.5);
  if (along >= its.count - 1) return pair(its.first + its.count - 1, bar.to, (along - its.count + 1) / 0.5);
  const at = Math.floor(along);
  return pair(its.first + at, its.first + at + 1, along - at);
}

function pair(a: number, b: number, share: number): Shares {
  return [
    [a, 1 - share],
    [b, share],
  ];
}
