/** What an ear would find in a sound: the strongest tone of a band, and crackles. */

/** Strongest frequency between two limits, Hz, by correlating with sines a quarter hertz apart. */
export function strongestToneHz(samples: Float32Array, sampleRateHz: number, fromHz: number, toHz: number): number {
  let best = { hz: fromHz, power: -1 };
  for (let hz = fromHz; hz <= toHz; hz += 0.25) {
    const step = (2 * Math.PI * hz) / sampleRateHz;
    let real = 0;
    let imaginary = 0;
    for (let at = 0; at < samples.length; at++) {
      const sample = samples[at] ?? 0;
      real += sample * Math.cos(step * at);
      imaginary += sample * Math.sin(step * at);
    }
    const power = real * real + imaginary * imaginary;
    if (power > best.power) best = { hz, power };
  }
  return best.hz;
}

/** Moments (s) at which the sound leaps above `threshold` of full level, at most one within `apartS`. */
export function crackles(samples: Float32Array, sampleRateHz: number, threshold: number, apartS: number): number[] {
  const found: number[] = [];
  for (let at = 0; at < samples.length; at++) {
    const timeS = at / sampleRateHz;
    if (Math.abs(samples[at] ?? 0) < threshold) continue;
    const last = found.at(-1);
    if (last === undefined || timeS - last > apartS) found.push(timeS);
  }
  return found;
}
