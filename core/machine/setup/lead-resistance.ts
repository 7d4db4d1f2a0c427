/** What leads, gun and clamp do to the arc: Δl = ΔR I / E at the same dial setting; and the trend of what was measured. */
import { message, amount, type Phrase } from '../../base/messages/index.ts';
import { wireInGas } from '../../metal/arc/index.ts';
import type { Program } from '../../setting/program/index.ts';
import { lostVolts } from '../../base/units/convert.ts';

export interface LeadReading {
  /** mΩ. */
  readonly mOhm: number;
  /** ISO time. */
  readonly at: string;
}

export interface LeadTrend {
  readonly latestMOhm: number;
  /** Against the first reading kept, mΩ. */
  readonly gainedMOhm: number;
  /** Least squares over the readings, mΩ in 30 days; absent below three. */
  readonly perMonthMOhm?: number;
  readonly words: Phrase;
}

/** A rise of this much against the first reading is worth cleaning clamps for, mΩ; assumed. */
const worthCleaningMOhm = 4;

export function leadTrend(readings: readonly LeadReading[]): LeadTrend | undefined {
  const sorted = [...readings].sort((a, b) => a.at.localeCompare(b.at));
  const [first, last] = [sorted[0], sorted.at(-1)];
  if (!first || !last) return undefined;
  const gainedMOhm = last.mOhm - first.mOhm;
  const slope = sorted.length >= 3 ? slopePerDay(sorted) * 30 : undefined;
  return {
    latestMOhm: last.mOhm,
    gainedMOhm,
    ...(slope === undefined ? {} : { perMonthMOhm: slope }),
    words:
      gainedMOhm >= worthCleaningMOhm
        ? message('setup.leads.risen', { gained: amount('resistance', gainedMOhm, 1) })
        : sorted.length === 1
          ? message('setup.leads.one-reading')
          : message('setup.holds'),
  };
}

/** Volts lost at a current, and how much shorter the arc is (mm) at the same dial setting when the resistance rose by `gainedMOhm`. */
export function leadEffect(
  { filler, gas, diameterMm }: Pick<Program, 'filler' | 'gas' | 'diameterMm'>,
  meanCurrentA: number,
  gainedMOhm: number,
): { readonly volts: number; readonly arcMm: number } {
  const volts = lostVolts(meanCurrentA, gainedMOhm);
  return { volts, arcMm: -volts / wireInGas(filler, gas, diameterMm).eVPerMm };
}

function slopePerDay(readings: readonly LeadReading[]): number {
  const points = readings.map(({ at, mOhm }) => [Date.parse(at) / 86_400_000, mOhm] as const);
  const meanX = points.reduce((sum, [x]) => sum + x, 0) / points.length;
  const meanY = points.reduce((sum, [, y]) => sum + y, 0) / points.length;
  const spread = points.reduce((sum, [x]) => sum + (x - meanX) ** 2, 0);
  return spread === 0 ? 0 : points.reduce((sum, [x, y]) => sum + (x - meanX) * (y - meanY), 0) / spread;
}
