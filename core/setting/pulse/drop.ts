/** Drop volume and drop factor: a drop is a sphere of k wire diameters. */
import type { WireInGas } from '../../metal/arc/index.ts';

export const dropFactorLimits = { min: 0.95, max: 1.35 } as const;

/** Frequency in Hz at which one drop of factor `k` per pulse carries `rateMmPerS` of wire: the mass balance, exactly. */
export function frequencyForDrop(wire: WireInGas, rateMmPerS: number, k: number): number {
  return (rateMmPerS * wire.areaMm2) / dropVolumeMm3(wire.diameterMm, k);
}

/** Drop factor that balances `rateMmPerS` at a number of drops per second. */
export function dropFactorFor(wire: WireInGas, rateMmPerS: number, dropsPerS: number): number {
  return Math.cbrt((6 * rateMmPerS * wire.areaMm2) / (Math.PI * dropsPerS)) / wire.diameterMm;
}

export function dropVolumeMm3(diameterMm: number, k: number): number {
  return (Math.PI / 6) * (k * diameterMm) ** 3;
}
