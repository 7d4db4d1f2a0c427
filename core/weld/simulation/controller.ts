/** Arc-length controller of the background and peak schools: once a pulse, on the mean voltage that the source saw over it. */
import type { ArcState } from './arc-state.ts';
import { controller, sourceLimits } from './params.ts';
import type { PulseLevel, PulseSource } from './source.ts';

/** What the controller moves; the running arc keeps it between pulses. */
export type PulseCommand = Pick<ArcState, 'periodS' | 'peakA' | 'backgroundA' | 'correction'>;

/** Faintest background that still burns, and how far it stays below the peak, A. */
const faintestA = 12;
const belowPeakA = 20;

/** Sets the next pulse in `command` from the error of the one that ended, V, which lasted `elapsedS`. */
export function correctPulse(
  command: PulseCommand,
  source: PulseSource,
  level: PulseLevel,
  errorV: number,
  elapsedS: number,
  transitionA: number,
): void {
  command.periodS = 1 / level.frequencyHz;
  if (source.control === 'background') {
    const { gain, integral } = controller.backgroundA;
    command.correction = clamp(command.correction + integral * errorV * elapsedS, -level.backgroundA, transitionA);
    command.backgroundA = clamp(
      level.backgroundA + command.correction + gain * errorV,
      faintestA,
      level.peakA - belowPeakA,
    );
    command.peakA = level.peakA;
    return;
  }
  const { gain, integral, share } = controller.peakA;
  const most = level.peakA * share;
  command.correction = clamp(command.correction + integral * errorV * elapsedS, -most, most);
  command.peakA = clamp(
    level.peakA + command.correction + gain * errorV,
    level.peakA - most,
    Math.min(level.peakA + most, sourceLimits.largestCurrentA),
  );
  command.backgroundA = level.backgroundA;
}

function clamp(value: number, low: number, high: number): number {
  return value < low ? low : value > high ? high : value;
}
