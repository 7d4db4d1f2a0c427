/**
 * The arc made audible: an arc is a hot gas that breathes with its power, so its sound pressure follows the change of u · i
 * (Drouet and Nadeau 1979; Arata 1979). What is heard is the derivative of the simulated power, without what lies below hearing,
 * levelled and limited. Nothing is added: hum, crackle, hiss and flutter are in the power or they are not heard.
 */

export interface PowerTrace {
  readonly timeS: Float64Array;
  readonly currentA: Float32Array;
  readonly voltageV: Float32Array;
}

/** Change of power that makes full level, W/s; chosen so that a steady pulse sits well below it. Assumed. */
const fullLevelWPerS = 7e7;
/** Highest sample ever handed out, of 1. */
export const loudest = 0.5;
/** Below this nothing is heard and much is felt, Hz. */
const lowCutHz = 45;
const highCutHz = 7000;

/** Mono samples at `sampleRateHz` over the whole trace, each within ±`loudest`. The trace should be finer than the samples. */
export function renderSound(
  { timeS, currentA, voltageV }: PowerTrace,
  sampleRateHz: number,
): Float32Array<ArrayBuffer> {
  const first = timeS[0] ?? 0;
  const last = timeS[timeS.length - 1] ?? 0;
  const count = Math.max(0, Math.floor((last - first) * sampleRateHz));
  const samples = new Float32Array(count);
  if (count === 0) return samples;
  const dt = 1 / sampleRateHz;
  const low = Math.exp(-2 * Math.PI * lowCutHz * dt);
  const high = Math.exp(-2 * Math.PI * highCutHz * dt);
  let cursor = 0;
  let before = (currentA[0] ?? 0) * (voltageV[0] ?? 0);
  let smooth = 0;
  let held = 0;
  for (let at = 0; at < count; at++) {
    const until = first + (at + 1) * dt;
    // Mean power within the sample.
    let sum = 0;
    let seen = 0;
    while (cursor < timeS.length && (timeS[cursor] ?? 0) < until) {
      sum += (currentA[cursor] ?? 0) * (voltageV[cursor] ?? 0);
      seen++;
      cursor++;
    }
    const power = seen > 0 ? sum / seen : before;
    const change = (power - before) / dt / fullLevelWPerS;
    before = power;
    smooth += (1 - high) * (change - smooth);
    held = low * held + (1 - low) * smooth;
    samples[at] = loudest * Math.tanh(smooth - held);
  }
  return samples;
}

/** A buffer that can be played in a ring: its end fades into its beginning. */
export function looped(samples: Float32Array<ArrayBuffer>, fadeSamples: number): Float32Array<ArrayBuffer> {
  const fade = Math.min(fadeSamples, Math.floor(samples.length / 4));
  const ring = samples.slice(0, samples.length - fade);
  for (let at = 0; at < fade; at++) {
    const share = at / fade;
    ring[at] = (samples[at] ?? 0) * share + (samples[samples.length - fade + at] ?? 0) * (1 - share);
  }
  return ring;
}
