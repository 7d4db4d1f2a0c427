/**
 * Voltage and power of the arc, linear in current and in arc length: u = V0 + Ra i + E l, plus the drop along the extension and the circuit.
 * Because it is linear, means over a waveform need only its mean and rms current.
 */
import type { WireInGas } from './constants.ts';
import { lostVolts } from '../../base/units/convert.ts';

export interface ArcElectrical {
  /** Mean at the contact tip, V. */
  readonly meanVoltageV: number;
  /** Mean of instantaneous u i at the contact tip, W (the true power, as ISO/TR 18491 asks). */
  readonly meanPowerW: number;
  /** Mean voltage times mean current, W: what a panel's two figures multiply to. */
  readonly productPowerW: number;
  /** Mean at the machine's terminals, V. */
  readonly machineVoltageV: number;
}

/** Means over any waveform with the given mean and rms current (A), arc length and extension (mm), circuit resistance (mΩ). */
export function arcElectrical(
  wire: WireInGas,
  meanA: number,
  rmsA: number,
  arcLengthMm: number,
  extensionMm: number,
  circuitMOhm: number,
): ArcElectrical {
  const atNoCurrentV = wire.v0V + wire.eVPerMm * arcLengthMm;
  const slopeOhm = wire.raOhm + wire.extensionOhmPerMm * extensionMm;
  const meanVoltageV = atNoCurrentV + slopeOhm * meanA;
  return {
    meanVoltageV,
    meanPowerW: atNoCurrentV * meanA + slopeOhm * rmsA * rmsA,
    productPowerW: meanVoltageV * meanA,
    machineVoltageV: meanVoltageV + lostVolts(meanA, circuitMOhm),
  };
}
