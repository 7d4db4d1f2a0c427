/** Short forms for describing the demo machines: chart lines with their words, and the trigger modes that several of them share. */
import { gasOf, type FillerCode } from '../../metal/consumables/index.ts';
import { type ChartLine, type ChartPoint, type Dial } from '../../machine/description/index.ts';
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

/** A dial in proportion, with its travel as [min, max, step]. */
export function proportional(
  face: Omit<Dial, 'scale'>,
  quantity: 'wireFeedMPerMin' | Extract<Dial['scale'], { kind: 'linear' }>['quantity'],
  [min, max, step]: readonly [number, number, number],
  { neutral = 0, at = 0, per = 1 } = {},
): Dial {
  return {
    ...face,
    scale: { kind: 'linear', quantity, neutral, quantityAtNeutral: at, quantityPerUnit: per, min, max, step },
  };
}
