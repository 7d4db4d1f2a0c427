/** What a simulation is asked. */
import type { WireCorrection } from '../../metal/arc/index.ts';
import type { FillerCode } from '../../metal/consumables/index.ts';
import type { CanonicalBeat } from '../../setting/double-pulse/index.ts';

/** Which part of the pulse answers when the arc is too long or too short. */
export type ControlSchool = 'frequency' | 'background' | 'peak';

export interface ConstantVoltageInput {
  readonly kind: 'constant-voltage';
  readonly voltageV: number;
  /** Give this or `stiffness`. */
  readonly inductanceUh?: number | undefined;
  readonly stiffness?: number | undefined;
  readonly circuitMOhm?: number | undefined;
}

export interface PulseSourceInput {
  readonly kind: 'pulse';
  /** Arc length against the line, mm. */
  readonly trim?: number | undefined;
  /** Absolute set-point at the contact tip, V, instead of a trim: what a machine holds when the hand moves. */
  readonly voltageV?: number | undefined;
  readonly control?: ControlSchool | undefined;
  readonly stiffness?: number | undefined;
  readonly circuitMOhm?: number | undefined;
  /** Circuit that the set-point was made for, mΩ; left out: what a machine takes for granted. */
  readonly madeForMOhm?: number | undefined;
  /** Volts that the set-point is off what was meant. */
  readonly setPointOffsetV?: number | undefined;
  readonly pulse?:
    | {
        readonly slewAPerMs?: number | undefined;
        readonly peakCurrentA?: number | undefined;
        readonly peakTimeMs?: number | undefined;
        readonly backgroundCurrentA?: number | undefined;
        readonly frequencyHz?: number | undefined;
      }
    | undefined;
  readonly slowBeat?: CanonicalBeat | undefined;
}

export interface SimulationInput {
  readonly filler: FillerCode;
  readonly gas: string;
  readonly diameterMm: number;
  readonly wireFeedMPerMin: number;
  readonly ctwdMm: number;
  readonly seconds: number;
  readonly seed: number;
  readonly source: ConstantVoltageInput | PulseSourceInput;
  /** 0 is a machine's hand on a still pool, 1 a welder's; default 1. */
  readonly noise?: number | undefined;
  readonly stepS?: number | undefined;
  /** Left to settle before it is measured, s; left out: `settlingS`. */
  readonly settleS?: number | undefined;
  /** Share by which the wire really fed falls short of what the source was set for, 0..0.3: worn rolls, a tight liner. */
  readonly feedSlip?: number | undefined;
  /** What really is threaded, connected and held, where it is not what the source was set for. */
  readonly really?:
    | {
        readonly gas?: string | undefined;
        readonly diameterMm?: number | undefined;
        readonly ctwdMm?: number | undefined;
      }
    | undefined;
  /** What this very wire does differently from the table, as calibrated; the source does not know of it. */
  readonly correction?: WireCorrection | undefined;
  /** Start cold and stop, instead of a slice of a running weld. */
  readonly startStop?: StartStopInput | undefined;
}

export interface StartStopInput {
  /** Feed until the arc lights, percent of the set feed. */
  readonly runInPercent: number;
  /** How long the run-in feed goes on after the arc has lit, s. */
  readonly runInAfterS: number;
  /** Time the source stays on after the drive is told to stop, s. */
  readonly burnBackS: number;
  /** Go on after that until one more drop has left, so that the wire ends sharp. */
  readonly endPulse?: boolean | undefined;
}
