/** What the `pulse` question is told: wire, gas, feed, reach, what of the waveform is fixed and what the machine gives. */
import type { FillerCode } from '../../metal/consumables/index.ts';

export interface PulseInput {
  readonly filler: FillerCode;
  readonly gas: string;
  readonly diameterMm: number;
  readonly wireFeedMPerMin: number;
  /** Give this, or `ctwdMm` and the arc settles on its line. */
  readonly extensionMm?: number | undefined;
  readonly ctwdMm?: number | undefined;
  readonly slewAPerMs?: number | undefined;
  readonly peakCurrentA?: number | undefined;
  readonly peakTimeMs?: number | undefined;
  readonly backgroundCurrentA?: number | undefined;
  readonly frequencyHz?: number | undefined;
  /** What the machine can give; left out, nothing is assumed of it. */
  readonly machine?: MachineLimits | undefined;
}

export interface MachineLimits {
  readonly maxCurrentA?: number | undefined;
  readonly wireFeedMPerMin?: readonly [number, number] | undefined;
}
