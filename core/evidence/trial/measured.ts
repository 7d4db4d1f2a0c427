/** What can be measured on a bead with one figure: name, kind, range and step. Record, form, comparison and paper read this table. */
import { message, type Phrase } from '../../base/messages/index.ts';
import type { QuantityName } from '../../base/units/index.ts';

export interface MeasuredFigure {
  readonly name: Phrase;
  readonly of: QuantityName;
  /** Least and most that is believed, in the stored unit. */
  readonly range: readonly [number, number];
  readonly step: number;
  /** A grade, not a length. */
  readonly whole?: true;
}

export const measuredFigures = {
  throatMm: { name: message('trials.measured.throat'), of: 'shortLength', range: [0.3, 40], step: 0.1 },
  widthMm: { name: message('trials.measured.width'), of: 'shortLength', range: [0.3, 40], step: 0.5 },
  heightMm: { name: message('trials.measured.height'), of: 'shortLength', range: [0, 20], step: 0.1 },
  undercutMm: { name: message('trials.measured.undercut'), of: 'shortLength', range: [0, 5], step: 0.1 },
  backWidthMm: { name: message('trials.measured.back-width'), of: 'shortLength', range: [0, 20], step: 0.5 },
  backMm: { name: message('trials.measured.back-height'), of: 'shortLength', range: [0, 20], step: 0.1 },
  spatter: { name: message('trials.measured.spatter'), of: 'plain', range: [0, 4], step: 1, whole: true },
  soot: { name: message('trials.measured.soot'), of: 'plain', range: [0, 3], step: 1, whole: true },
  wireEndMm: { name: message('trials.measured.wire-end'), of: 'shortLength', range: [0, 100], step: 1 },
} as const satisfies Record<string, MeasuredFigure>;

export type MeasuredName = keyof typeof measuredFigures;
export const measuredNames = Object.keys(measuredFigures) as readonly MeasuredName[];

/** A figure's row, without the literal types of the table. */
export function measuredFigure(name: MeasuredName): MeasuredFigure {
  return measuredFigures[name];
}
