/** Allowed ranges of the numbers that cross the core's border, kept once as data so that forms, shapes and messages agree. */
import { message, amount, bare, type Phrase } from '../messages/index.ts';
import type { QuantityName } from '../units/quantities.ts';
import type { Issue } from './outcome.ts';

export interface Range {
  readonly min: number;
  readonly max: number;
  /** What it measures; the bounds are in its stored unit. */
  readonly kind: QuantityName;
  /** The field's plain name. */
  readonly name: Phrase;
}

/** Limits of what the model is meant for; wider than any sensible setting, narrower than nonsense. */
export const ranges = {
  diameterMm: { min: 0.6, max: 1.6, kind: 'shortLength', name: message('outcome.wire-diameter') },
  wireFeedMPerMin: { min: 0.5, max: 30, kind: 'wireFeed', name: message('outcome.wire-feed') },
  extensionMm: { min: 3, max: 40, kind: 'shortLength', name: message('outcome.wire-extension') },
  ctwdMm: { min: 6, max: 45, kind: 'shortLength', name: message('outcome.ctwd') },
  currentA: { min: 5, max: 700, kind: 'current', name: message('outcome.current') },
  slewAPerMs: { min: 100, max: 600, kind: 'slew', name: message('outcome.current-slew') },
  peakCurrentA: { min: 60, max: 700, kind: 'current', name: message('outcome.fast-peak-current') },
  peakTimeMs: { min: 0.3, max: 8, kind: 'pulseTime', name: message('outcome.fast-peak-time') },
  backgroundCurrentA: { min: 5, max: 400, kind: 'current', name: message('outcome.fast-background-current') },
  frequencyHz: { min: 25, max: 400, kind: 'frequency', name: message('outcome.fast-pulse-frequency') },
  thicknessMm: { min: 0.6, max: 25, kind: 'shortLength', name: message('outcome.thickness') },
  gapMm: { min: 0, max: 12, kind: 'shortLength', name: message('outcome.gap') },
  legMm: { min: 1, max: 20, kind: 'shortLength', name: message('outcome.leg') },
  angleDeg: { min: 20, max: 120, kind: 'angle', name: message('outcome.groove-angle') },
  rootFaceMm: { min: 0, max: 10, kind: 'shortLength', name: message('outcome.root-face') },
  lengthMm: { min: 5, max: 20000, kind: 'shortLength', name: message('outcome.seam-length') },
  travelMmPerMin: { min: 50, max: 2000, kind: 'travel', name: message('outcome.travel-speed') },
  plateC: { min: -20, max: 300, kind: 'temperature', name: message('outcome.plate-temperature') },
  arcLengthMm: { min: 0, max: 12, kind: 'shortLength', name: message('outcome.arc-length') },
  trimMm: { min: -8, max: 8, kind: 'shortLength', name: message('outcome.trim') },
  stiffness: { min: -10, max: 10, kind: 'plain', name: message('outcome.stiffness') },
  /** Across a bead or along its leg: beyond it the figure was typed wrong. */
  beadMm: { min: 0.3, max: 40, kind: 'shortLength', name: message('outcome.bead-size') },
  beadHeightMm: { min: 0, max: 20, kind: 'shortLength', name: message('outcome.bead-height') },
  displayedCurrentA: { min: 5, max: 700, kind: 'current', name: message('outcome.displayed-current') },
  displayedVoltageV: { min: 5, max: 60, kind: 'voltage', name: message('outcome.displayed-voltage') },
  heardHz: { min: 5, max: 600, kind: 'frequency', name: message('outcome.heard-rate') },
  /** Of a part that was welded before. */
  partC: { min: -20, max: 600, kind: 'temperature', name: message('outcome.part-temperature') },
  circuitMOhm: { min: 0, max: 80, kind: 'resistance', name: message('outcome.circuit-resistance') },
} as const satisfies Record<string, Range>;

export type RangedField = keyof typeof ranges;

/** Issues for every ranged number in `values` that is not finite or outside its limits; absent values pass. */
export function rangeIssues(values: Partial<Record<RangedField, number | undefined>>, prefix = ''): Issue[] {
  const issues: Issue[] = [];
  for (const [field, value] of Object.entries(values) as [RangedField, number | undefined][]) {
    if (value === undefined) continue;
    const issue = rangeIssue(field, value, prefix + field);
    if (issue) issues.push(issue);
  }
  return issues;
}

/** The issue with one number, or undefined when it is within its limits. */
export function rangeIssue(field: RangedField, value: number, path: string = field): Issue | undefined {
  const { min, max, kind, name } = ranges[field];
  if (Number.isFinite(value) && value >= min && value <= max) return undefined;
  return {
    path,
    code: 'out-of-range',
    message: message('outcome.error.out-of-range', {
      name,
      min: bare(kind, min),
      max: amount(kind, max),
      got: Number.isFinite(value) ? amount(kind, value) : String(value),
    }),
    limit: [min, max],
    got: value,
  };
}
