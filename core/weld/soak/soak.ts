/** Seams on one part, one after the other: how warm it is ahead of the arc, what level that leaves, and how long to wait under a ceiling. */
import { aheadMm, levelFor, worthPercent } from '../../metal/conduction/index.ts';
import { marchOver, type March } from './march.ts';
import { recentLineRise } from './near-source.ts';
import { partOf } from './parts.ts';
import type { Part } from './part.ts';
import { settledS } from './plate-field.ts';
import { placeOf, runOf, type Run, type SoakSeam } from './run.ts';
import type { PartShape, Place } from './shapes.ts';

export interface SoakInput {
  readonly part: PartShape;
  readonly seams: readonly SoakSeam[];
  readonly ambientC: number;
  readonly meltsAtC: number;
  /** Warmer than this no seam may start; left out: none waits. */
  readonly interpassC?: number | undefined;
  /** Plate of the trial in which main was tuned, °C; left out: the surroundings. */
  readonly trialC?: number | undefined;
  readonly probes?: readonly { readonly atMm: Place; readonly atS: number }[] | undefined;
}

export interface SoakedSeam {
  /** When it really starts, with the waits before it, s. */
  readonly startAtS: number;
  readonly endAtS: number;
  /** Of the weld. */
  readonly lengthMm: number;
  readonly waitS: number;
  /** Along the seam: mm from its start, and °C just ahead of the arc. */
  readonly aheadC: readonly (readonly [number, number])[];
  /** The same without this arc's own field: what the level answers to. */
  readonly baseC: readonly (readonly [number, number])[];
  /** From so many mm on, so many percent of main. */
  readonly levels: readonly (readonly [number, number])[];
  /** Leg where it ends over leg at main: the metal goes with the level, travel stays. */
  readonly legShare: number;
}

export interface Soaked {
  readonly seams: readonly SoakedSeam[];
  readonly probes: readonly { readonly tempC: number }[];
  /** Temperature anywhere at any moment, °C. */
  readonly tempAt: (place: Place, atS: number) => number;
}

const stations = 12;
/** A hand holds two or three levels. */
const mostLevels = 3;
/** No seam is waited for longer than a shift, s. */
const longestWaitS = 8 * 3600;
/** Nobody waits to less, s. */
const waitToS = 0.5;

export function soak(input: SoakInput): Soaked {
  const { ambientC } = input;
  const part = partOf(input.part);
  const { runs, waits } = timed(input, part);
  const rise = riseOver(part, runs);
  return {
    seams: runs.map((run, at) => soaked(input, part, run, waits[at] ?? 0, rise)),
    probes: (input.probes ?? []).map(({ atMm, atS }) => ({ tempC: ambientC + rise(atMm, atS) })),
    tempAt: (place, atS) => ambientC + rise(place, atS),
  };
}

/** When each seam runs, with the waits before it; nothing of what it leaves. */
export function timed(
  { seams, ambientC, interpassC }: SoakInput,
  part: Part,
): { readonly runs: readonly Run[]; readonly waits: readonly number[] } {
  const runs: Run[] = [];
  const waits: number[] = [];
  const march = marchOver(part, runs);
  let shift = 0;
  for (const seam of seams) {
    const free = Math.max(seam.startAtS + shift, runs.at(-1)?.endS ?? 0);
    const waitS = interpassC === undefined ? 0 : waitFor(part, march, runs, seam, free, interpassC - ambientC);
    waits.push(waitS);
    shift += waitS;
    runs.push(runOf(seam, interpassC === undefined ? seam.startAtS : free + waitS));
  }
  return { runs, waits };
}

/** Rise at a place and moment: the field up to what is young, and what is young by its own integral. Moments asked in rising order cost one step each. */
function riseOver(
  part: Part,
  runs: readonly Run[],
  march: March = marchOver(part, runs),
): (place: Place, atS: number) => number {
  const young = part.settledS;
  let kept: { readonly atS: number; readonly field: ReturnType<Part['field']> } | undefined;
  return (place, atS) => {
    if (kept?.atS !== atS) {
      const field = march(atS - young).copy();
      field.advance(young);
      kept = { atS, field };
    }
    let rise = kept.field.riseAt(place);
    for (const run of runs) rise += youngRise(part, run, place, atS);
    return rise;
  };
}

function youngRise(part: Part, run: Run, place: Place, atS: number): number {
  const fromAgoS = Math.min(atS - run.startS, part.settledS);
  const toAgoS = Math.max(atS - run.endS, 0);
  if (fromAgoS <= toAgoS) return 0;
  return part.recentRise(
    { now: placeOf(run, atS), velocity: run.velocity, powerW: run.powerW, fromAgoS, toAgoS },
    place,
  );
}

function soaked(
  { ambientC, meltsAtC, trialC = ambientC }: SoakInput,
  part: Part,
  run: Run,
  waitS: number,
  rise: (place: Place, atS: number) => number,
): SoakedSeam {
  const { startS, endS, lengthMm, mmPerS } = run;
  // The last station lies before the end, where the part still is something ahead of the arc.
  const lastMm = Math.max(lengthMm - 2 * aheadMm, lengthMm / 2);
  const own = steadyAhead(part, run);
  const aheadC: [number, number][] = [];
  const baseC: [number, number][] = [];
  for (let at = 0; at <= stations; at++) {
    const mm = (lastMm * at) / stations;
    const atS = startS + mm / mmPerS;
    const all = rise(placeOf(run, atS + aheadMm / mmPerS), atS) + (part.holdsOwn || at === 0 ? 0 : own);
    aheadC.push([mm, ambientC + all]);
    // At the start this arc has no field yet: what is there is the part's.
    baseC.push([mm, ambientC + Math.max(at === 0 ? all : all - Math.min(own, all), 0)]);
  }
  const levels = levelsFor(baseC, meltsAtC, trialC, lengthMm);
  return {
    startAtS: startS,
    endAtS: endS,
    lengthMm,
    waitS,
    aheadC,
    baseC,
    levels,
    legShare: Math.sqrt((levels.at(-1)?.[1] ?? 100) / 100),
  };
}

/** This arc's own field ahead of it in a sheet without ends, K: the trial had it too. */
function steadyAhead(part: Part, { from, mmPerS, powerW }: Run): number {
  const { diffusivityMm2PerS: alpha } = part;
  const past = { fromAgoS: Math.max((40 * alpha) / mmPerS ** 2, settledS(part)), toAgoS: 0 };
  const line = { now: [0, 0] as const, velocity: [mmPerS, 0] as const, powerW, ...past };
  return recentLineRise(part, part.sheetMmAt(from), line, [aheadMm, 0], [], []);
}

/** Level = (melting - base) / (melting - trial) on power, in two or three steps. */
function levelsFor(
  baseC: readonly (readonly [number, number])[],
  meltsAtC: number,
  trialC: number,
  lengthMm: number,
): [number, number][] {
  const wanted = baseC.map(([mm, base]) => [mm, levelFor(base, meltsAtC, trialC)] as const);
  const highest = Math.max(...wanted.map(([, level]) => level));
  const lowest = Math.min(...wanted.map(([, level]) => level));
  const count = Math.min(Math.max(Math.round((highest - lowest) / worthPercent), 1), mostLevels);
  const levels: [number, number][] = [];
  for (let part = 0; part < count; part++) {
    const fromMm = (lengthMm * part) / count;
    const toMm = (lengthMm * (part + 1)) / count;
    const inside = wanted.filter(([mm]) => mm >= fromMm - 1e-9 && mm <= toMm + 1e-9).map(([, level]) => level);
    const mean = inside.reduce((sum, level) => sum + level, 0) / Math.max(inside.length, 1);
    levels.push([fromMm, Math.round(mean)]);
  }
  return levels.filter(([, level], at) => at === 0 || level !== levels[at - 1]?.[1]);
}

/** Until no place along the seam is warmer than the ceiling, s. `march` carries what `runs` have left. */
export function waitFor(
  part: Part,
  march: March,
  runs: readonly Run[],
  seam: SoakSeam,
  fromS: number,
  ceilingK: number,
): number {
  if (runs.length === 0) return 0;
  const { from, to } = seam;
  const places = [0, 0.25, 0.5, 0.75, 1].map((share): Place => [
    from[0] + (to[0] - from[0]) * share,
    from[1] + (to[1] - from[1]) * share,
    from[2] ?? 0,
  ]);
  const hottest = (riseAt: (place: Place) => number) => Math.max(...places.map(riseAt));
  const young = part.settledS;
  // While the last heat is young it is asked of its own integral; once it has settled the field only fades and is carried on by what is still to wait.
  const settledAfterS = Math.max((runs.at(-1)?.endS ?? fromS) + young - fromS, 0);
  const rise = riseOver(part, runs, march);
  const soon = (wait: number) => hottest((place) => rise(place, fromS + wait));
  if (settledAfterS > 0) {
    if (soon(0) <= ceilingK) return 0;
    if (soon(settledAfterS) <= ceilingK) return halved(0, settledAfterS, (wait) => soon(wait) > ceilingK);
  }
  let low = settledAfterS;
  let field = march(fromS + low);
  if (hottest((place) => field.riseAt(place)) <= ceilingK) return low;
  // Doubled until it is cool enough, then halved: every step is carried on from the one before it.
  let cool = false;
  let step = Math.max(2 * young, 10);
  while (!cool || 2 * step > waitToS) {
    const later = field.copy();
    later.advance(step);
    if (hottest((place) => later.riseAt(place)) > ceilingK) {
      [low, field] = [low + step, later];
      if (low >= longestWaitS) return longestWaitS;
      step *= cool ? 0.5 : 2;
    } else {
      cool = true;
      step /= 2;
    }
  }
  return low + 2 * step;
}

/** The end of an interval in which it turns, narrowed to what is worth waiting for. */
function halved(from: number, to: number, above: (wait: number) => boolean): number {
  let [low, high] = [from, to];
  while (high - low > waitToS) {
    const middle = (low + high) / 2;
    if (above(middle)) low = middle;
    else high = middle;
  }
  return high;
}
