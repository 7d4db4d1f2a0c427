/** Gas that flows: what a gauge made for argon really lets through of another gas (an orifice passes the inverse root of the density), and the gas of a seam. */
import { gasOf } from './gases.ts';
import { litresIn } from '../../base/units/convert.ts';

/** kg/m³ at 15 °C and 1 bar; handbook values. */
const density = { argonPct: 1.669, co2Pct: 1.848, o2Pct: 1.337, heliumPct: 0.167 } as const;

/** What really flows when a gauge made for argon reads 1: a lighter gas runs faster through the same orifice. */
export function trueFlowFactor(gasCode: string): number {
  const gas = gasOf(gasCode);
  const mixed =
    (gas.argonPct * density.argonPct +
      gas.co2Pct * density.co2Pct +
      gas.o2Pct * density.o2Pct +
      gas.heliumPct * density.heliumPct) /
    100;
  // Gauges are made for the argon mixes they are sold with; only helium makes them lie.
  return gas.heliumPct > 0 && mixed > 0 ? Math.sqrt(density.argonPct / mixed) : 1;
}

/** Gas of a seam in L: arc time with pre- and post-flow for every start. */
export function seamGasL(
  flowLPerMin: number,
  arcSeconds: number,
  starts: number,
  preSeconds: number,
  postSeconds: number,
): number {
  return litresIn(flowLPerMin, arcSeconds + starts * (preSeconds + postSeconds));
}
