/** Which wishes gave way, by how much, and the two ways out: another pace at the wished size, or another size at the wished pace. */
import { areaForTravel, filletLegMm, travelForArea } from '../bead/index.ts';
import type { Workings } from './figures.ts';
import type { PlanInput } from './input.ts';
import { jointRule } from './joints.ts';

export type WayOut =
  | { readonly code: 'own-pace'; readonly travelMmPerMin: number }
  | { readonly code: 'other-leg'; readonly legMm: number };

export interface GaveWay {
  readonly wish: 'current' | 'travel' | 'size';
  /** Value over wish less one: plus is more than wished. */
  readonly by: number;
  readonly value: number;
  readonly wished: number;
  /** A, mm/min or mm²; `legMm` beside an area where the joint has a leg. */
  readonly unit: 'A' | 'mm/min' | 'mm²';
  readonly waysOut: readonly WayOut[];
}

/** Everything that moved by more than its free share; feed at which the current is the wished one in m/min. */
export function gaveWay(input: PlanInput, { figures, wire, wanted }: Workings, feedForWish: number): GaveWay[] {
  const waysOut = waysOutOf(input, wire, wanted.passes, wanted.areaMm2, wanted.travelMmPerMin, feedForWish);
  const entries = [
    { wish: 'current', value: figures.meanCurrentA, wished: wanted.currentA, unit: 'A', free: wanted.current.free },
    {
      wish: 'travel',
      value: figures.travelMmPerMin,
      wished: wanted.travelMmPerMin,
      unit: 'mm/min',
      // A pace of one's own is wished exactly; a hand does not notice this much.
      free: Math.max(wanted.travel.free, 0.03),
    },
    {
      wish: 'size',
      value: figures.areaMm2,
      wished: wanted.areaMm2,
      unit: 'mm²',
      free: wanted.isSizeAsked ? 0.03 : wanted.area.free,
    },
  ] as const;
  return entries.flatMap(({ free, ...entry }) =>
    Math.abs(Math.log(entry.value / entry.wished)) > free + 1e-6
      ? [{ ...entry, by: entry.value / entry.wished - 1, waysOut }]
      : [],
  );
}

function waysOutOf(
  { seam }: PlanInput,
  wire: Workings['wire'],
  passes: number,
  areaMm2: number,
  travelMmPerMin: number,
  feedForWish: number,
): WayOut[] {
  const pace = Math.round(travelForArea(wire, feedForWish, areaMm2) / 10) * 10;
  const legMm = Math.round(filletLegMm(passes * areaForTravel(wire, feedForWish, travelMmPerMin), seam.gapMm) * 2) / 2;
  return [
    ...(pace >= 50 && pace <= 2000 ? [{ code: 'own-pace', travelMmPerMin: pace } as const] : []),
    ...(jointRule(seam.joint).isFillet && legMm >= 1 && legMm <= 20 ? [{ code: 'other-leg', legMm } as const] : []),
  ];
}
