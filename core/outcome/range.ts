/** Allowed ranges of the numbers that cross the core's border, kept once as data so that forms, shapes and messages agree. */
import type { Issue } from './outcome.ts';

export interface Range {
  readonly min: number;
  readonly max: number;
  /** Unit as the message prints it. */
  readonly unit: string;
  /** The field's plain name. */
  readonly name: string;
}

/** Limits of what the model is meant for; wider than any sensible setting, narrower than nonsense. */
export const ranges = {
  diameterMm: { min: 0.6, max: 1.6, unit: 'mm', name: 'Wire diameter' },
  wireFeedMPerMin: { min: 0.5, max: 30, unit: 'm/min', name: 'Wire feed' },
  extensionMm: { min: 3, max: 40, unit: 'mm', name: 'Wire extension' },
  ctwdMm: { min: 6, max: 45, unit: 'mm', name: 'Stick-out' },
  currentA: { min: 5, max: 700, unit: 'A', name: 'Current' },
  slewAPerMs: { min: 100, max: 600, unit: 'A/ms', name: 'Current slew' },
  peakCurrentA: { min: 60, max: 700, unit: 'A', name: 'Fast peak current' },
  peakTimeMs: { min: 0.3, max: 8, unit: 'ms', name: 'Fast peak time' },
  backgroundCurrentA: { min: 5, max: 400, unit: 'A', name: 'Fast background current' },
  frequencyHz: { min: 25, max: 400, unit: 'Hz', name: 'Fast pulse frequency' },
  thicknessMm: { min: 0.6, max: 25, unit: 'mm', name: 'Thickness' },
  gapMm: { min: 0, max: 12, unit: 'mm', name: 'Gap' },
  legMm: { min: 1, max: 20, unit: 'mm', name: 'Leg' },
  angleDeg: { min: 20, max: 120, unit: '°', name: 'Groove angle' },
  rootFaceMm: { min: 0, max: 10, unit: 'mm', name: 'Root face' },
  lengthMm: { min: 5, max: 20000, unit: 'mm', name: 'Seam length' },
  travelMmPerMin: { min: 50, max: 2000, unit: 'mm/min', name: 'Travel speed' },
  plateC: { min: -20, max: 300, unit: '°C', name: 'Plate temperature' },
  arcLengthMm: { min: 0, max: 12, unit: 'mm', name: 'Arc length' },
  circuitMOhm: { min: 0, max: 80, unit: 'mΩ', name: 'Circuit resistance' },
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
  const { min, max, unit, name } = ranges[field];
  if (Number.isFinite(value) && value >= min && value <= max) return undefined;
  return {
    path,
    code: 'out-of-range',
    message: `${name} must lie between ${min} and ${max} ${unit}; got ${Number.isFinite(value) ? `${value} ${unit}` : String(value)}.`,
    limit: [min, max],
    got: value,
  };
}
