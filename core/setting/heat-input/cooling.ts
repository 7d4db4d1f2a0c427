/**
 * Cooling time t8/5 of unalloyed and low-alloy steel, EN 1011-2 annex D. Q heat input kJ/mm, d plate mm, T0 °C; result s.
 * Thick plate: heat flows into the depth. Thin plate: sideways only. The larger of the two governs.
 */
export type WeldShape = 'run-on-plate' | 'butt-between-runs' | 'corner-fillet' | 'tee-fillet' | 'lap';

/** Shape factors F3 (thick) and F2 (thin), EN 1011-2 table D.1; a tee's F2 is a range there. Lap: SEW 088. */
export const shapeFactors: Record<WeldShape, { readonly f3: number; readonly f2: readonly [number, number] }> = {
  'run-on-plate': { f3: 1, f2: [1, 1] },
  'butt-between-runs': { f3: 0.9, f2: [0.9, 0.9] },
  'corner-fillet': { f3: 0.67, f2: [0.9, 0.9] },
  'tee-fillet': { f3: 0.67, f2: [0.45, 0.67] },
  lap: { f3: 0.67, f2: [0.7, 0.7] },
};

export const weldShapes = Object.keys(shapeFactors) as readonly WeldShape[];

export function coolingThickS(heatInputKjPerMm: number, preheatC: number, f3: number): number {
  return (6700 - 5 * preheatC) * heatInputKjPerMm * (1 / (500 - preheatC) - 1 / (800 - preheatC)) * f3;
}

export function coolingThinS(heatInputKjPerMm: number, thicknessMm: number, preheatC: number, f2: number): number {
  const q = heatInputKjPerMm / thicknessMm;
  return (4300 - 4.3 * preheatC) * 1e5 * q * q * ((1 / (500 - preheatC)) ** 2 - (1 / (800 - preheatC)) ** 2) * f2;
}

export interface Cooling {
  readonly t85S: number;
  readonly regime: 'thick' | 'thin';
  /** Range over the shape factor's own range. */
  readonly bandS: readonly [number, number];
}

export function coolingTime(
  heatInputKjPerMm: number,
  thicknessMm: number,
  preheatC: number,
  shape: WeldShape,
): Cooling {
  const { f3, f2 } = shapeFactors[shape];
  const thick = coolingThickS(heatInputKjPerMm, preheatC, f3);
  const [low, high] = f2.map((factor) =>
    Math.max(thick, coolingThinS(heatInputKjPerMm, thicknessMm, preheatC, factor)),
  ) as [number, number];
  const thin = coolingThinS(heatInputKjPerMm, thicknessMm, preheatC, (f2[0] + f2[1]) / 2);
  return { t85S: Math.max(thick, thin), regime: thin > thick ? 'thin' : 'thick', bandS: [low, high] };
}
