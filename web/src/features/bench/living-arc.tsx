/** The arc in slow motion: drawn from the simulated run, with pause, step to the next drop, and a slider through time. */
import { Box, chakra } from '@chakra-ui/react';
import type { Simulation } from '@fox-tempo/core';
import { useEffect, useRef } from 'react';
import { useSettings } from '../../lib/settings.ts';
import { Action } from '../../ui/action.tsx';
import { colours } from '../../ui/theme/colours.ts';
import { drawArc, momentAt } from '../arc-view/index.ts';
import { paces, type Pace, type Playhead } from './playhead.ts';

const width = 236;
const height = 252;
/** The slider follows more slowly than the picture: to move it lays the page out again. */
const sliderEveryMs = 120;
/** Canvas pixels to a pixel of the page. */
const sharpness = 2;

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

  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context) return undefined;
    context.setTransform(sharpness, 0, 0, sharpness, 0, 0);
    const frame = { width, height, diameterMm, ctwdMm, recessMm };
    let slidAt = -sliderEveryMs;
    const paint = (timeS: number) => {
      drawArc(context, frame, momentAt(simulation, timeS), (name) => colours[name][theme]);
      const now = performance.now();
      if (now - slidAt < sliderEveryMs) return;
      slidAt = now;
      if (slider.current) slider.current.value = String(Math.round((timeS - playhead.fromS) * 1e5));
    };
    paint(playhead.timeS());
    return playhead.listen(paint);
  }, [simulation, playhead, theme, diameterMm, ctwdMm, recessMm]);

  const { metrics, words } = simulation;
  return (
    <Box>
      <canvas
        ref={canvas}
        role="img"
        aria-label={`The arc drawn to scale in slow motion: ${words}; arc ${metrics.minArcLengthMm.toFixed(1)} to ${metrics.maxArcLengthMm.toFixed(1)} mm, wire ${metrics.meanExtensionMm.toFixed(1)} mm out of the tip`}
        width={width * sharpness}
        height={height * sharpness}
        style={{ width, height, display: 'block', margin: '0 auto' }}
      />
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
          px="2.5"
          onClick={() => onPlaying(!playing)}
          aria-label={playing ? 'Pause the arc' : 'Play the arc'}
        >
          {playing ? 'Pause' : 'Play'}
        </Action>
        <Action
          kind="quiet"
          px="2"
          fontSize="13px"
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
