/** The driven arc made audible as it burns: slices gathered to tenths of a second and queued one behind the other, a little late on purpose. */
import type { DrivenSlice } from '@fox-tempo/core/weld/simulation';
import { soundOf } from '../../../workers/sound-client.ts';
import { audioContext } from '../../../parts/arc-view/index.ts';

/** Gathered before it is played, s; shorter pieces click, longer ones lag. */
const pieceS = 0.1;
const fadeS = 0.006;

export interface LiveSound {
  hear(slice: DrivenSlice): void;
  stop(): void;
}

export function liveSound(volume: number): LiveSound | null {
  const audio = audioContext();
  if (!audio) return null;
  const gain = audio.createGain();
  gain.gain.value = volume;
  gain.connect(audio.destination);
  let parts: { timeS: Float64Array; currentA: Float32Array; voltageV: Float32Array }[] = [];
  let gathered = 0;
  let isHeard = true;
  let playsAt = 0;

  function flush(): void {
    const trace = {
      timeS: joined(
        parts.map(({ timeS }) => timeS),
        Float64Array,
      ),
      currentA: joined(
        parts.map(({ currentA }) => currentA),
        Float32Array,
      ),
      voltageV: joined(
        parts.map(({ voltageV }) => voltageV),
        Float32Array,
      ),
    };
    parts = [];
    gathered = 0;
    if (!audio) return;
    const rate = audio.sampleRate;
    void soundOf(trace, rate).then((samples) => {
      if (samples && isHeard) play(samples);
    });
  }

  /** One piece behind the last; pieces come back in the order they were asked for. */
  function play(samples: Float32Array<ArrayBuffer>): void {
    if (!audio || samples.length < audio.sampleRate * 0.02) return;
    const rate = audio.sampleRate;
    const fade = Math.floor(fadeS * rate);
    for (let at = 0; at < fade; at++) {
      const share = at / fade;
      samples[at] = (samples[at] ?? 0) * share;
      samples[samples.length - 1 - at] = (samples[samples.length - 1 - at] ?? 0) * share;
    }
    const buffer = audio.createBuffer(1, samples.length, rate);
    buffer.copyToChannel(samples, 0);
    const source = audio.createBufferSource();
    source.buffer = buffer;
    source.connect(gain);
    playsAt = Math.max(playsAt - fadeS, audio.currentTime + 0.02);
    source.start(playsAt);
    playsAt += buffer.duration;
  }

  return {
    hear({ trace }) {
      const { timeS, currentA, voltageV } = trace;
      if (timeS.length < 2) return;
      parts.push({ timeS, currentA, voltageV });
      gathered += (timeS.at(-1) ?? 0) - (timeS[0] ?? 0);
      if (gathered >= pieceS) flush();
    },
    stop: () => {
      isHeard = false;
      gain.disconnect();
    },
  };
}

function joined<T extends Float64Array | Float32Array>(arrays: readonly T[], kind: new (length: number) => T): T {
  const whole = new kind(arrays.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const array of arrays) {
    whole.set(array, at);
    at += array.length;
  }
  return whole;
}
