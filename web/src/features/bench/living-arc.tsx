/** The arc in slow motion: drawn from the simulated run, with pause, step to the next drop, and a slider through time. */
import { Box, chakra } from '@chakra-ui/react';
import type { Simulation } from '@fox-tempo/core/simulation';
import { useEffect, useRef } from 'react';
import { useSettings } from '../../lib/settings.ts';
import { Action } from '../../ui/action.tsx';
import { paints, ready, sharpness } from '../../ui/canvas/canvas.ts';
import { useSize } from '../../ui/canvas/use-size.ts';
import { drawArc, momentAt } from '../arc-view/index.ts';
import { paces, type Pace, type Playhead } from './playhead.ts';

/** The slider follows more slowly than the picture: to move it lays the page out again. */
const sliderEveryMs = 120;

export interface LivingArcProps {
  readonly simulation: Simulation;
  readonly playhead: Playhead;
  readonly playing: boolean;
  readonly pace: Pace;
  readonly onPlaying: (playing: boolean) => void;
  readonly onPace: (pace: Pace) => void;
  readonly diameterMm: number;
  readonly ctwdMm: number;
  readonly recessMm: number;
}

export function LivingArc({
  simulation,
  playhead,
  playing,
  pace,
  onPlaying,
  onPace,
  diameterMm,
  ctwdMm,
  recessMm,
}: LivingArcProps) {
  const theme = useSettings((state) => state.theme);
  const canvas = useRef<HTMLCanvasElement>(null);
  const slider = useRef<HTMLInputElement>(null);
  const holder = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(holder, { width: 180, height: 220 });

  useEffect(() => {
    const context = ready(canvas.current);
    if (!context) return undefined;
    const colour = paints(theme);
    const frame = { width, height, diameterMm, ctwdMm, recessMm };
    let slidAt = -sliderEveryMs;
    const paint = (timeS: number) => {
      drawArc(context, frame, momentAt(simulation, timeS), colour);
      const now = performance.now();
      if (now - slidAt < sliderEveryMs) return;
      slidAt = now;
      if (slider.current) slider.current.value = String(Math.round((timeS - playhead.fromS) * 1e5));
    };
    paint(playhead.timeS());
    return playhead.listen(paint);
  }, [simulation, playhead, theme, width, height, diameterMm, ctwdMm, recessMm]);

  const { metrics, words } = simulation;
  return (
    <Box display="flex" flexDirection="column" height="100%" minHeight={0}>
      <Box ref={holder} flex="1 1 auto" minHeight="150px" position="relative" overflow="hidden">
        <canvas
          ref={canvas}
          role="img"
          aria-label={`The arc drawn to scale in slow motion: ${words}; arc ${metrics.minArcLengthMm.toFixed(1)} to ${metrics.maxArcLengthMm.toFixed(1)} mm, wire ${metrics.meanExtensionMm.toFixed(1)} mm out of the tip`}
          width={width * sharpness}
          height={height * sharpness}
          style={{ width, height, display: 'block', position: 'absolute', inset: 0 }}
        />
      </Box>
      <chakra.input
        ref={slider}
        type="range"
        aria-label="Moment, in hundredths of a millisecond"
        min={0}
        max={Math.round((playhead.untilS - playhead.fromS) * 1e5)}
        defaultValue={0}
        width="100%"
        minHeight="28px"
        accentColor="var(--chakra-colors-accent)"
        onChange={(event) => {
          onPlaying(false);
          playhead.seek(playhead.fromS + Number(event.target.value) / 1e5);
        }}
      />
      <Box display="flex" gap="1" alignItems="center">
        <Action
          kind="plain"
          px="2"
          fontSize="13px"
          onClick={() => onPlaying(!playing)}
          aria-label={playing ? 'Pause the arc' : 'Play the arc'}
        >
          {playing ? 'Pause' : 'Play'}
        </Action>
        <Action
          kind="quiet"
          px="1.5"
          fontSize="12.5px"
          onClick={() => {
            onPlaying(false);
            playhead.nextOf(simulation.dropAtS);
          }}
        >
          Next drop
        </Action>
        <chakra.select
          aria-label="Slow motion"
          value={pace}
          onChange={(event) => onPace(Number(event.target.value) as Pace)}
          minHeight="44px"
          bg="surface"
          borderWidth="1px"
          borderColor="edge"
          borderRadius="3px"
          fontSize="13px"
          px="1"
        >
          {paces.map((one) => (
            <option key={one} value={one}>
              1/{one}
            </option>
          ))}
        </chakra.select>
      </Box>
    </Box>
  );
}
