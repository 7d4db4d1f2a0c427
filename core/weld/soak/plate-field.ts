/**
 * Warmth of a rectangular plate above its surroundings, as amplitudes of cosine modes (insulated edges, loss on both faces): exact over any step while a
 * source moves on a straight line, so that neither a seam nor a wait is stepped through.
 */

import { lossPerS } from './near-source.ts';
import type { Plate } from './shapes.ts';

export interface Stretch {
  /** Where the source is when it begins, mm. */
  readonly at: readonly [number, number];
  /** mm/s. */
  readonly velocity: readonly [number, number];
  readonly powerW: number;
  readonly seconds: number;
}

export interface PlateField {
  /** Waits, or lets a source run along its stretch. */
  advance(seconds: number, source?: Omit<Stretch, 'seconds'>): void;
  /** K above the surroundings. */
  riseAt(x: number, y: number): number;
  copy(): PlateField;
  /** Another field of the same plate on top of it. */
  add(other: PlateField): void;
  readonly amplitudes: Float64Array;
  /** All warmth times a factor: a thermometer has spoken. */
  scale(factor: number): void;
}

/** What is smeared by the modes that are left out has spread by itself after this many mm. */
const blurMm = 16;
/** Modes that decay by more than e^-14 over that spread are not needed. */
const decay = 14;

/** Time after which a source has spread so far that the modes hold it, s: heat goes √(4 a t). */
export function settledS({ diffusivityMm2PerS }: Pick<Plate, 'diffusivityMm2PerS'>): number {
  return blurMm ** 2 / (4 * diffusivityMm2PerS);
}

export function plateField(plate: Plate): PlateField {
  const { lengthMm, widthMm, diffusivityMm2PerS } = plate;
  const highest = Math.sqrt(decay / (diffusivityMm2PerS * settledS(plate)));
  const columns = Math.ceil((lengthMm * highest) / Math.PI) + 1;
  const rows = Math.ceil((widthMm * highest) / Math.PI) + 1;
  return fieldOf(plate, columns, rows, new Float64Array(columns * rows));
}

function fieldOf(plate: Plate, columns: number, rows: number, amplitudes: Float64Array): PlateField {
  const { lengthMm, widthMm, thicknessMm, diffusivityMm2PerS: alpha, volumetricHeatJPerMm3K } = plate;
  const loss = lossPerS(plate, thicknessMm);
  return {
    advance(seconds, source) {
      if (seconds <= 0) return;
      const perMode = source ? source.powerW / (lengthMm * widthMm * volumetricHeatJPerMm3K * thicknessMm) : 0;
      // Fading, phase and its step are products of a part along and a part across: nothing is asked of a sine for each mode.
      const along = axis(lengthMm, columns, alpha, seconds, source?.at[0] ?? 0, source?.velocity[0] ?? 0);
      const across = axis(widthMm, rows, alpha, seconds, source?.at[1] ?? 0, source?.velocity[1] ?? 0);
      const lost = Math.exp(-loss * seconds);
      for (let m = 0; m < columns; m++) {
        const x = along[m];
        if (!x) continue;
        for (let n = 0; n < rows; n++) {
          const y = across[n];
          if (!y) continue;
          const faded = x.faded * y.faded * lost;
          const at = m * rows + n;
          let value = (amplitudes[at] ?? 0) * faded;
          if (source) {
            const lambda = x.lambda + y.lambda + loss;
            const c = (m === 0 ? 1 : 2) * (n === 0 ? 1 : 2) * perMode;
            const both = x.cos0 * y.cos0;
            const cross = x.sin0 * y.sin0;
            const bothEnd = x.cos1 * y.cos1;
            const crossEnd = x.sin1 * y.sin1;
            const turned = x.sin0 * y.cos0;
            const turnedBack = x.cos0 * y.sin0;
            const turnedEnd = x.sin1 * y.cos1;
            const turnedBackEnd = x.cos1 * y.sin1;
            value +=
              (c / 2) *
              (given(
                lambda,
                x.w + y.w,
                both - cross,
                turned + turnedBack,
                bothEnd - crossEnd,
                turnedEnd + turnedBackEnd,
                seconds,
                faded,
              ) +
                given(
                  lambda,
                  x.w - y.w,
                  both + cross,
                  turned - turnedBack,
                  bothEnd + crossEnd,
                  turnedEnd - turnedBackEnd,
                  seconds,
                  faded,
                ));
          }
          amplitudes[at] = value;
        }
      }
    },
    riseAt(x, y) {
      let sum = 0;
      const across = Float64Array.from({ length: rows }, (_, n) => Math.cos((n * Math.PI * y) / widthMm));
      for (let m = 0; m < columns; m++) {
        let row = 0;
        for (let n = 0; n < rows; n++) row += (amplitudes[m * rows + n] ?? 0) * (across[n] ?? 0);
        sum += row * Math.cos((m * Math.PI * x) / lengthMm);
      }
      return sum;
    },
    amplitudes,
    copy: () => fieldOf(plate, columns, rows, amplitudes.slice()),
    add(other) {
      for (let at = 0; at < amplitudes.length; at++)
        amplitudes[at] = (amplitudes[at] ?? 0) + (other.amplitudes[at] ?? 0);
    },
    scale(factor) {
      for (let at = 0; at < amplitudes.length; at++) amplitudes[at] = (amplitudes[at] ?? 0) * factor;
    },
  };
}

/** What each mode along one edge brings to the product: its decay, and its phase where the source begins (0) and ends (1). */
interface Mode {
  readonly lambda: number;
  readonly faded: number;
  readonly w: number;
  readonly cos0: number;
  readonly sin0: number;
  readonly cos1: number;
  readonly sin1: number;
}

function axis(edgeMm: number, count: number, alpha: number, seconds: number, from: number, velocity: number): Mode[] {
  return Array.from({ length: count }, (_, mode) => {
    const k = (mode * Math.PI) / edgeMm;
    const lambda = alpha * k * k;
    const end = from + velocity * seconds;
    return {
      lambda,
      faded: Math.exp(-lambda * seconds),
      w: k * velocity,
      cos0: Math.cos(k * from),
      sin0: Math.sin(k * from),
      cos1: Math.cos(k * end),
      sin1: Math.sin(k * end),
    };
  });
}

/** Integral of e^(-lambda (T - s)) cos(phi + w s) over the step, from cosine and sine of the phase at its start and end. */
function given(
  lambda: number,
  w: number,
  cosStart: number,
  sinStart: number,
  cosEnd: number,
  sinEnd: number,
  seconds: number,
  faded: number,
): number {
  const square = lambda * lambda + w * w;
  if (square < 1e-24) return seconds * cosStart;
  return (lambda * cosEnd + w * sinEnd - faded * (lambda * cosStart + w * sinStart)) / square;
}
