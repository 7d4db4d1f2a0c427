/** The arc in slow motion: drawn from the simulated run, with pause, step to the next drop, and a slider through time. */
import { amount, bare } from '@fox-tempo/core/base/messages';
import { t } from '../../lib/words.ts';
import { Box, chakra } from '@chakra-ui/react';
import type { Simulation } from '@fox-tempo/core/weld/simulation';
import { useEffect, useRef } from 'react';
import { useSettings } from '../../session/settings.ts';
import { BareSelect } from '../../ui/bare-select.tsx';
import { Action } from '../../ui/action.tsx';
import { paints, ready, sharpness } from '../../ui/canvas/canvas.ts';
import { useSize } from '../../ui/canvas/use-size.ts';
import { drawArc, momentAt } from '../../parts/arc-view/index.ts';
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
      <Box ref={holder} flex="1 1 auto" minHeight="96px" position="relative" overflow="hidden">
        <canvas
          ref={canvas}
          role="img"
          aria-label={t('view.simulator.picture', {
            words,
            minArcLength: bare('shortLength', metrics.minArcLengthMm, 1),
            maxArcLength: amount('shortLength', metrics.maxArcLengthMm, 1),
            meanExtension: amount('shortLength', metrics.meanExtensionMm, 1),
          })}
          width={width * sharpness}
          height={height * sharpness}
          style={{ width, height, display: 'block', position: 'absolute', inset: 0 }}
        />
      </Box>
      <chakra.input
        ref={slider}
        type="range"
        aria-label={t('view.simulator.moment')}
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
      <Box display="flex" gap="1" alignItems="center" flexWrap="wrap">
        <Action
          kind="plain"
          px="1.5"
          fontSize="small"
          flexShrink={0}
          onClick={() => onPlaying(!playing)}
          aria-label={playing ? t('view.simulator.pause-the-arc') : t('view.simulator.play-the-arc')}
        >
          {playing ? t('view.simulator.pause') : t('view.simulator.play')}
        </Action>
        <Action
          kind="quiet"
          px="1.5"
          fontSize="label"
          onClick={() => {
            onPlaying(false);
            playhead.nextOf(simulation.dropAtS);
          }}
        >
          {t('view.simulator.next-drop')}
        </Action>
        <BareSelect
          label={t('view.simulator.slow-motion')}
          value={String(pace)}
          choices={paces.map((one) => ({ value: String(one), label: `1/${one}` }))}
          onChange={(value) => onPace(Number(value) as Pace)}
          fontWeight={400}
          px="1"
        />
      </Box>
    </Box>
  );
}
