/** How long gas and wire last. */
import { wireAreaMm2 } from '../../metal/consumables/index.ts';
import { wireKgPerM } from '../../base/units/convert.ts';

/** Pressure kept back in a compressed-gas cylinder, bar. */
export const keptBackBar = 5;
/** Gas from a kilogram of liquid CO2, L. */
export const co2LPerKg = 540;

/** Arc minutes left in a cylinder of compressed gas: litres of water volume, gauge bar, L/min. */
export function compressedMinutes(volumeL: number, pressureBar: number, flowLPerMin: number): number {
  return (volumeL * Math.max(pressureBar - keptBackBar, 0)) / flowLPerMin;
}

/** Arc minutes left in a CO2 cylinder, by its mass: its pressure says nothing until it is nearly empty. */
export function co2Minutes(massKg: number, flowLPerMin: number): number {
  return (massKg * co2LPerKg) / flowLPerMin;
}

/** Arc minutes left on a spool: kg, mm, kg/m³, m/min. */
export function spoolMinutes(
  massKg: number,
  diameterMm: number,
  densityKgPerM3: number,
  wireFeedMPerMin: number,
): number {
  return massKg / (wireKgPerM(wireAreaMm2(diameterMm), densityKgPerM3) * wireFeedMPerMin);
}
