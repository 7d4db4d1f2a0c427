/**
 * How base metals hold and pass heat: handbook means over the range from ambient to melting, as sums over a seam use them.
 * Diffusivity mm²/s, capacity of a volume J/(mm³ K), melting °C (solidus side). One home: taper, ends, show-through and soak read these.
 */
import type { FillerFamily, MaterialGroup } from '../consumables/index.ts';

export interface BaseMetal {
  readonly diffusivityMm2PerS: number;
  readonly volumetricHeatJPerMm3K: number;
  readonly meltsAtC: number;
}

const steel: BaseMetal = { diffusivityMm2PerS: 8, volumetricHeatJPerMm3K: 5e-3, meltsAtC: 1510 };

export const baseMetals: Readonly<Record<MaterialGroup, BaseMetal>> = {
  steel,
  galvanised: steel,
  stainless: { diffusivityMm2PerS: 5, volumetricHeatJPerMm3K: 4.8e-3, meltsAtC: 1440 },
  aluminium: { diffusivityMm2PerS: 65, volumetricHeatJPerMm3K: 2.8e-3, meltsAtC: 640 },
};

/** The metal that a wire is usually laid on, where only the wire is known; brazing wire lies on steel. */
export function usualBaseMetal(family: FillerFamily): BaseMetal {
  return baseMetals[family === 'copper-silicon' ? 'galvanised' : family];
}
