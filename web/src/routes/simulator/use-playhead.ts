/** The moment that arc and chart share, running in slow motion until it is paused. */
import type { Simulation } from '@fox-tempo/core/weld/simulation';
import { useEffect, useMemo, useState } from 'react';
import { createPlayhead, type Pace, type Playhead } from './playhead.ts';

export interface Playing {
  readonly playhead: Playhead;
  readonly playing: boolean;
  readonly pace: Pace;
  setPlaying: (playing: boolean) => void;
  setPace: (pace: Pace) => void;
}

export function usePlayhead(simulation: Simulation): Playing {
  const [playing, setPlaying] = useState(!prefersStill());
  const [pace, setPace] = useState<Pace>(200);
  const playhead = useMemo(() => {
    const times = simulation.trace.timeS;
    // The settling at the beginning is not shown.
    return createPlayhead(Math.min(0.25, times[times.length - 1] ?? 0), times[times.length - 1] ?? 0.25);
  }, [simulation]);
  useEffect(() => {
    if (!playing) return undefined;
    let frame = 0;
    let before = performance.now();
    const tick = (now: number) => {
      playhead.advance((now - before) / 1000 / pace);
      before = now;
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [playhead, playing, pace]);
  return { playhead, playing, pace, setPlaying, setPace };
}

function prefersStill(): boolean {
  return globalThis.matchMedia?.('(prefers-reduced-motion: reduce)').matches ?? false;
}
