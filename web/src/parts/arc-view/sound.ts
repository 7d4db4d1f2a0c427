/** The page's sound: one context, made when somebody asks to hear; without a device nothing is heard and nothing breaks. */
import type { Simulation } from '@fox-tempo/core/weld/simulation';
import { looped } from '@fox-tempo/core/weld/sound';
import { soundOf } from '../../workers/sound-client.ts';

let context: AudioContext | null = null;

/** The page's audio; null where there is no sound device. */
export function audioContext(): AudioContext | null {
  try {
    context ??= new AudioContext();
    void context.resume().catch(() => undefined);
    return context;
  } catch {
    return null;
  }
}

/** Whether there is anything to hear with. */
export function hasSound(): boolean {
  return audioContext() !== null;
}

export interface Hum {
  stop: () => void;
}

/** Plays the arc of a run in a ring at a volume of 0..1, as soon as it is rendered; undefined where there is no sound device. */
export function playArc({ trace }: Simulation, volume: number): Hum | undefined {
  const audio = audioContext();
  if (!audio) return undefined;
  const rate = audio.sampleRate;
  const gain = audio.createGain();
  let source: AudioBufferSourceNode | null = null;
  let isWanted = true;
  const { timeS, currentA, voltageV } = trace;
  void soundOf({ timeS, currentA, voltageV }, rate).then((whole) => {
    // The first quarter of a second is settling.
    const samples = whole?.slice(Math.floor(0.25 * rate));
    if (!isWanted || !samples || samples.length < rate / 20) return;
    const ring = looped(samples, Math.floor(rate * 0.02));
    const buffer = audio.createBuffer(1, ring.length, rate);
    buffer.copyToChannel(ring, 0);
    source = audio.createBufferSource();
    source.buffer = buffer;
    source.loop = true;
    gain.gain.setValueAtTime(0, audio.currentTime);
    gain.gain.linearRampToValueAtTime(Math.min(Math.max(volume, 0), 1), audio.currentTime + 0.05);
    source.connect(gain).connect(audio.destination);
    source.start();
  });
  return {
    stop: () => {
      isWanted = false;
      gain.gain.linearRampToValueAtTime(0, audio.currentTime + 0.05);
      source?.stop(audio.currentTime + 0.08);
    },
  };
}

/** A short soft click. */
export function clickSound(): void {
  const audio = audioContext();
  if (!audio) return;
  const tone = audio.createOscillator();
  const gain = audio.createGain();
  tone.frequency.value = 880;
  gain.gain.setValueAtTime(0.15, audio.currentTime);
  gain.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 0.05);
  tone.connect(gain).connect(audio.destination);
  tone.start();
  tone.stop(audio.currentTime + 0.06);
}
