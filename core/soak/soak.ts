/** Seams on one plate, one after the other: how warm it is ahead of the arc, what level that leaves, and how long to wait under a ceiling. */
import { plateField, settledS, type Plate, type PlateField } from './plate-field.ts';
import { recentRise } from './near-source.ts';

export interface SoakSeam {
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  readonly travelMmPerMin: number;
  /** Into the part, W. */
  readonly powerW: number;
  readonly startAtS: number;
}

export interface SoakInput {
  readonly plate: Plate;
  readonly seams: readonly SoakSeam[];
  readonly ambientC: number;
  readonly meltsAtC: number;
  /** Warmer than this no seam may start; left out: none waits. */
  readonly interpassC?: number | undefined;
  /** Plate of the trial in which main was tuned, °C; left out: the surroundings. */
  readonly trialC?: number | undefined;
  readonly probes?: readonly { readonly atMm: readonly [number, number]; readonly atS: number }[] | undefined;
}

export interface SoakedSeam {
  /** When it really starts, with the waits before it, s. */
  readonly startAtS: number;
  readonly endAtS: number;
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
  readonly tempAt: (x: number, y: number, atS: number) => number;
}

/** How far before the arc a plate's warmth is felt, mm. */
export const aheadMm = 6;
const stations = 12;
/** A hand holds two or three levels; beyond these limits it is not the same arc, percent. */
const levelLimits = [60, 105] as const;
const mostLevels = 3;
/** Less than this is not worth a tap, percent. */
const worthPercent = 4;
/** No seam is waited for longer than a shift, s. */
const longestWaitS = 8 * 3600;

export interface Run {
  readonly from: readonly [number, number];
  readonly velocity: readonly [number, number];
  readonly powerW: number;
  readonly startS: number;
  readonly endS: number;
  readonly lengthMm: number;
}

export function soak(input: SoakInput): Soaked {
  const { plate, ambientC } = input;
  const { runs, waits } = timed(input);
  const rise = riseOver(plate, runs);
  return {
    seams: runs.map((run, at) => soaked(input, plate, run, waits[at] ?? 0, rise)),
    probes: (input.probes ?? []).map(({ atMm, atS }) => ({ tempC: ambientC + rise(atMm[0], atMm[1], atS) })),
    tempAt: (x, y, atS) => ambientC + rise(x, y, atS),
  };
}

/** When each seam runs, with the waits before it; nothing of what it leaves. */
export function timed({ plate, seams, ambientC, interpassC }: SoakInput): {
  readonly runs: readonly Run[];
  readonly waits: readonly number[];
} {
  const runs: Run[] = [];
  const waits: number[] = [];
  let shift = 0;
  for (const seam of seams) {
    const free = Math.max(seam.startAtS + shift, runs.at(-1)?.endS ?? 0);
    const waitS = interpassC === undefined ? 0 : waitFor(plate, runs, seam, free, interpassC - ambientC);
    waits.push(waitS);
    shift += waitS;
    runs.push(runOf(seam, interpassC === undefined ? seam.startAtS : free + waitS));
  }
  return { runs, waits };
}

export function runOf({ from, to, travelMmPerMin, powerW }: SoakSeam, startS: number): Run {
  const lengthMm = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const mmPerS = travelMmPerMin / 60;
  const seconds = lengthMm / mmPerS;
  return {
    from,
    velocity: [(to[0] - from[0]) / seconds, (to[1] - from[1]) / seconds],
    powerW,
    startS,
    endS: startS + seconds,
    lengthMm,
  };
}

/** Rise at a place and moment: the modes up to what is young, and what is young by its own integral. Moments asked in rising order cost one step each. */
function riseOver(plate: Plate, runs: readonly Run[]): (x: number, y: number, atS: number) => number {
  const young = settledS(plate);
  const until = runningField(plate, runs);
  let kept: { readonly atS: number; readonly field: PlateField } | undefined;
  return (x, y, atS) => {
    if (kept?.atS !== atS) {
      const field = until(atS - young).copy();
      field.advance(young);
      kept = { atS, field };
    }
    let rise = kept.field.riseAt(x, y);
    for (const run of runs) rise += youngRise(plate, run, x, y, atS, young);
    return rise;
  };
}

/** What was put in before `atS - young`, faded to `atS`. */
function fieldAt(plate: Plate, runs: readonly Run[], atS: number, young: number): PlateField {
  const field = runningField(plate, runs)(atS - young);
  field.advance(young);
  return field;
}

/** The plate up to a moment, carried on from the moment asked before it; asked for an earlier one it begins anew. */
function runningField(plate: Plate, runs: readonly Run[]): (upToS: number) => PlateField {
  const firstS = Math.min(...runs.map(({ startS }) => startS));
  const turns = [...new Set(runs.flatMap(({ startS, endS }) => [startS, endS]))].sort((a, b) => a - b);
  let field = plateField(plate);
  let nowS = firstS;
  return (upToS) => {
    if (upToS < nowS) {
      field = plateField(plate);
      nowS = firstS;
    }
    for (const turn of [...turns.filter((one) => one > nowS && one < upToS), upToS]) {
      if (turn <= nowS) continue;
      const burning = runs.filter(({ startS, endS }) => startS <= nowS && endS > nowS);
      const sourceOf = ({ from, velocity, powerW, startS }: Run) => ({
        at: [from[0] + velocity[0] * (nowS - startS), from[1] + velocity[1] * (nowS - startS)] as const,
        velocity,
        powerW,
      });
      const [first, ...others] = burning;
      field.advance(turn - nowS, first && sourceOf(first));
      // Fields add: whoever welds at the same time is carried on its own.
      for (const other of others) {
        const own = plateField(plate);
        own.advance(turn - nowS, sourceOf(other));
        field.add(own);
      }
      nowS = turn;
    }
    return field;
  };
}

function youngRise(plate: Plate, run: Run, x: number, y: number, atS: number, young: number): number {
  const fromAgoS = Math.min(atS - run.startS, young);
  const toAgoS = Math.max(atS - run.endS, 0);
  if (fromAgoS <= toAgoS) return 0;
  const since = atS - run.startS;
  const now: [number, number] = [run.from[0] + run.velocity[0] * since, run.from[1] + run.velocity[1] * since];
  return recentRise(plate, { now, velocity: run.velocity, powerW: run.powerW, fromAgoS, toAgoS }, x, y);
}

function soaked(
  { ambientC, meltsAtC, trialC = ambientC }: SoakInput,
  plate: Plate,
  run: Run,
  waitS: number,
  rise: (x: number, y: number, atS: number) => number,
): SoakedSeam {
  const { from, velocity, startS, endS, lengthMm } = run;
  const speed = Math.hypot(...velocity);
  const unit = [velocity[0] / speed, velocity[1] / speed] as const;
  // The last station lies before the end, where the plate still is something ahead of the arc.
  const lastMm = Math.max(lengthMm - 2 * aheadMm, lengthMm / 2);
  const own = steadyAhead(plate, run);
  const aheadC: [number, number][] = [];
  const baseC: [number, number][] = [];
  for (let at = 0; at <= stations; at++) {
    const mm = (lastMm * at) / stations;
    const atS = startS + mm / speed;
    const place = mm + aheadMm;
    const [x, y] = [from[0] + unit[0] * place, from[1] + unit[1] * place];
    const all = rise(x, y, atS);
    aheadC.push([mm, ambientC + all]);
    // At the start this arc has no field yet: what is there is the plate's.
    baseC.push([mm, ambientC + Math.max(at === 0 ? all : all - Math.min(own, all), 0)]);
  }
  const levels = levelsFor(baseC, meltsAtC, trialC, lengthMm);
  return {
    startAtS: startS,
    endAtS: endS,
    waitS,
    aheadC,
    baseC,
    levels,
    legShare: Math.sqrt((levels.at(-1)?.[1] ?? 100) / 100),
  };
}

/** This arc's own field ahead of it in a plate without ends, K: the trial had it too. */
function steadyAhead(plate: Plate, { velocity, powerW }: Run): number {
  const speed = Math.hypot(...velocity);
  const { diffusivityMm2PerS: alpha } = plate;
  const endless = { ...plate, lengthMm: 1e6, widthMm: 1e6 };
  const middle: [number, number] = [5e5, 5e5];
  return recentRise(
    endless,
    {
      now: middle,
      velocity: [speed, 0],
      powerW,
      fromAgoS: Math.max((40 * alpha) / speed ** 2, settledS(plate)),
      toAgoS: 0,
    },
    middle[0] + aheadMm,
    middle[1],
  );
}

/** Level = (melting - base) / (melting - trial) on power, in two or three steps. */
function levelsFor(
  baseC: readonly (readonly [number, number])[],
  meltsAtC: number,
  trialC: number,
  lengthMm: number,
): [number, number][] {
  const wanted = baseC.map(
    ([mm, base]) =>
      [
        mm,
        Math.min(Math.max((100 * (meltsAtC - base)) / (meltsAtC - trialC), levelLimits[0]), levelLimits[1]),
      ] as const,
  );
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

/** Until no place along the seam is warmer than the ceiling, s. */
export function waitFor(plate: Plate, runs: readonly Run[], seam: SoakSeam, fromS: number, ceilingK: number): number {
  if (runs.length === 0) return 0;
  const places = [0, 0.25, 0.5, 0.75, 1].map(
    (share) =>
      [seam.from[0] + (seam.to[0] - seam.from[0]) * share, seam.from[1] + (seam.to[1] - seam.from[1]) * share] as const,
  );
  const young = settledS(plate);
  const rise = riseOver(plate, runs);
  // Once the last heat has settled the field only fades: one copy, faded by so much.
  const settled = fieldAt(plate, runs, fromS + young, young);
  const warmest = (wait: number): number => {
    if (wait < young) return Math.max(...places.map(([x, y]) => rise(x, y, fromS + wait)));
    const field = settled.copy();
    field.advance(wait - young);
    return Math.max(...places.map(([x, y]) => field.riseAt(x, y)));
  };
  if (warmest(0) <= ceilingK) return 0;
  let [low, high] = [0, Math.max(2 * young, 10)];
  while (warmest(high) > ceilingK) {
    if (high >= longestWaitS) return longestWaitS;
    [low, high] = [high, Math.min(2 * high, longestWaitS)];
  }
  // To half a second: nobody waits to less.
  while (high - low > 0.5) {
    const middle = (low + high) / 2;
    if (warmest(middle) > ceilingK) low = middle;
    else high = middle;
  }
  return high;
}
