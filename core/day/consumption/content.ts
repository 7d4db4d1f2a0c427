/**
 * What is in a cylinder or on a spool, as a whole number: millilitres of compressed gas at 1 bar, milligrams of liquid CO₂, milligrams of
 * wire. Whole numbers add up to the same in any order; readings and levels are said in bar and kilograms.
 */
import { co2LPerKg } from './stock.ts';
import { isWeighed, type CylinderReading } from './outlook.ts';

const mlPerL = 1000;
const mgPerKg = 1e6;

/** Content of a cylinder as it was read: mL, or mg where the gas is weighed. */
export function cylinderContent({ gas, volumeL, pressureBar, massKg }: CylinderReading): number {
  return isWeighed(gas) ? Math.round((massKg ?? 0) * mgPerKg) : Math.round((pressureBar ?? 0) * volumeL * mlPerL);
}

/** The level that a content stands for; below nought where more was drawn than was read. */
export function cylinderLevel(
  { gas, volumeL }: Pick<CylinderReading, 'gas' | 'volumeL'>,
  content: number,
): { readonly pressureBar: number | null; readonly massKg: number | null } {
  return isWeighed(gas)
    ? { pressureBar: null, massKg: content / mgPerKg }
    : { pressureBar: content / (volumeL * mlPerL), massKg: null };
}

/** What leaves a cylinder when so many litres of gas are used. */
export function contentOfGas({ gas }: Pick<CylinderReading, 'gas'>, litres: number): number {
  return isWeighed(gas) ? Math.round((litres / co2LPerKg) * mgPerKg) : Math.round(litres * mlPerL);
}

/** Litres of gas that a content is. */
export function gasOfContent({ gas }: Pick<CylinderReading, 'gas'>, content: number): number {
  return isWeighed(gas) ? (content / mgPerKg) * co2LPerKg : content / mlPerL;
}

export function spoolContent(massKg: number): number {
  return Math.round(massKg * mgPerKg);
}

export function spoolLevel(content: number): number {
  return content / mgPerKg;
}
