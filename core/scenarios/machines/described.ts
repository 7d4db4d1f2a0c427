/** Short forms for describing the demo machines: a dial and a chart line are one row each. */
import { gasOf, type FillerCode } from '../../metal/consumables/index.ts';
import type { ChartLine, ChartPoint, Dial, DialScale } from '../../machine/description/index.ts';
import type { PlanMode } from '../../setting/plan/index.ts';

type Row = readonly [
  number: number,
  filler: FillerCode,
  diameterMm: number,
  gas: string,
  mode: PlanMode,
  points?: readonly ChartPoint[],
];

/** What these machines print for a wire: their plates are in English, whatever the reader speaks. */
const wirePlate: Readonly<Record<FillerCode, string>> = {
  'steel-solid': 'Mild steel',
  'stainless-308l': 'Stainless 308L type',
  'stainless-solid': 'Stainless 308L type',
  'stainless-309l': 'Stainless 309L type',
  'stainless-316l': 'Stainless 316L type',
  'aluminium-4043': 'Aluminium AlSi5',
  'aluminium-5356': 'Aluminium AlMg5',
  cusi3: 'Copper-silicon brazing wire',
  'steel-metal-cored': 'Steel',
  'steel-flux-cored': 'Steel',
  'steel-self-shielded': 'Steel',
};

function gasPlate(code: string): string {
  if (code === 'none') return 'no gas';
  const { argonPct, heliumPct, co2Pct, o2Pct } = gasOf(code);
  const present = (
    [
      ['argon', argonPct],
      ['helium', heliumPct],
      ['CO₂', co2Pct],
      ['oxygen', o2Pct],
    ] as const
  ).filter(([, share]) => share > 0);
  if (present.length === 1 && present[0]) return present[0][0];
  return present.map(([name, share]) => `${name} ${share} %`).join(', ');
}

export function chart(rows: readonly Row[]): ChartLine[] {
  return rows.map(([number, filler, diameterMm, gas, mode, points]) => ({
    number,
    words: `${wirePlate[filler]} ${diameterMm.toFixed(1)}, ${gasPlate(gas)}${mode === 'pulse' ? '' : `, ${mode.replace('-', ' ')}`}`,
    filler,
    diameterMm,
    gas,
    mode,
    ...(points ? { points } : {}),
  }));
}

type Travel = readonly [min: number, max: number, step: number];
type Linear = Extract<DialScale, { kind: 'linear' }>;

export const chartLine: DialScale = { kind: 'chart-line' };

/** In proportion: what stands at the neutral figure, and what one unit moves. */
export function linear(
  quantity: Linear['quantity'],
  [min, max, step]: Travel,
  { neutral = 0, at = 0, per = 1, also }: { neutral?: number; at?: number; per?: number; also?: Linear['also'] } = {},
): DialScale {
  return {
    kind: 'linear',
    quantity,
    neutral,
    quantityAtNeutral: at,
    quantityPerUnit: per,
    min,
    max,
    step,
    ...(also ? { also } : {}),
  };
}

export function percentOf(of: string, quantity: Linear['quantity'], [min, max, step]: Travel): DialScale {
  return { kind: 'percent-of', quantity, of, min, max, step };
}

/** Volts against the machine's own line. */
export function lineOffset([min, max, step]: Travel): DialScale {
  return { kind: 'line-offset', neutral: 0, voltsPerUnit: 1, min, max, step };
}

export function inverse(quantity: Linear['quantity'], [min, max, step]: Travel): DialScale {
  return { kind: 'inverse', quantity, product: 1, min, max, step };
}

export function stepped(quantity: Linear['quantity'], positions: Readonly<Record<string, number>>): DialScale {
  return {
    kind: 'stepped',
    quantity,
    positions: Object.entries(positions).map(([label, value]) => ({ label, quantity: value })),
  };
}

type Named = Extract<DialScale, { kind: 'named' }>;
export function named(
  facet: Named['facet'],
  positions: Readonly<Record<string, Named['positions'][number]['is']>>,
): DialScale {
  return { kind: 'named', facet, positions: Object.entries(positions).map(([label, is]) => ({ label, is })) };
}

type DialRow = readonly [
  id: string,
  label: string,
  where: string,
  unit: string,
  scale: DialScale,
  more?: 'fixed' | Partial<Dial>,
];

export function dials(rows: readonly DialRow[]): Dial[] {
  return rows.map(([id, label, where, unit, scale, more = {}]) => ({
    id,
    label,
    where,
    unit,
    scale,
    ...(more === 'fixed' ? { hand: 'fixed' } : more),
  }));
}
