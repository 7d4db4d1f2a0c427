/** Arc energy and heat input per length: W / (mm/s) / 1000 = kJ/mm. Efficiency 0.8 for MIG/MAG as in EN 1011-1. */

export const migEfficiency = 0.8;

/** Arc energy in kJ/mm from power in W and travel in mm/min. */
export function arcEnergyKjPerMm(powerW: number, travelMmPerMin: number): number {
  return (powerW * 60) / (travelMmPerMin * 1000);
}
