/** Carbon equivalent CET and the preheat that goes with it, EN 1011-2 annex C (method B). Composition in percent by mass. */
export interface Composition {
  readonly C: number;
  readonly Mn?: number | undefined;
  readonly Mo?: number | undefined;
  readonly Cr?: number | undefined;
  readonly Cu?: number | undefined;
  readonly Ni?: number | undefined;
}

export const compositionLimits: Record<keyof Composition, readonly [number, number]> = {
  C: [0.05, 0.5],
  Mn: [0, 2],
  Mo: [0, 1],
  Cr: [0, 2],
  Cu: [0, 1],
  Ni: [0, 3],
};

/** Preheat advice only from this plate thickness on, mm. */
export const preheatFromMm = 10;

export function carbonEquivalentCet({ C, Mn = 0, Mo = 0, Cr = 0, Cu = 0, Ni = 0 }: Composition): number {
  return C + (Mn + Mo) / 10 + (Cr + Cu) / 20 + Ni / 40;
}

/** Preheat in °C; hydrogen in mL per 100 g of deposit, heat input in kJ/mm. */
export function preheatAdviceC(
  cet: number,
  thicknessMm: number,
  hydrogenMlPer100G: number,
  heatInputKjPerMm: number,
): number {
  return (
    697 * cet +
    160 * Math.tanh(thicknessMm / 35) +
    62 * hydrogenMlPer100G ** 0.35 +
    (53 * cet - 32) * heatInputKjPerMm -
    328
  );
}
