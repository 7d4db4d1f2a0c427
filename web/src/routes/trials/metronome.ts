/** Clicks at every mark, to weld against: made by the browser's own oscillator, ahead of time, so that a busy page does not drag them. */

export interface Metronome {
  stop(): void;
}

export function metronome(everyS: number, clicks: number): Metronome {
  if (typeof AudioContext === 'undefined') return { stop: () => undefined };
  const context = new AudioContext();
  const gain = context.createGain();
  gain.connect(context.destination);
  for (let at = 1; at <= clicks; at++) {
    const oscillator = context.createOscillator();
    const when = context.currentTime + at * everyS;
    oscillator.frequency.value = at === clicks ? 660 : 990;
    oscillator.connect(gain);
    oscillator.start(when);
    oscillator.stop(when + 0.06);
  }
  return {
    stop() {
      // A context that will not close makes no sound any more either.
      context.close().catch(() => undefined);
    },
  };
}
