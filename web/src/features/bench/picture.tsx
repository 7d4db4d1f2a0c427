/** The arc in slow motion beside current and voltage, on one moment. */
import { Box } from '@chakra-ui/react';
import type { Simulation } from '@fox-tempo/core';
import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { Panel } from '../../ui/panel.tsx';
import { Listen } from './listen.tsx';
import { LivingArc } from './living-arc.tsx';
import { createPlayhead, type Pace } from './playhead.ts';
import type { ArcRun } from './use-arc.ts';

const TraceChart = lazy(async () => ({ default: (await import('./trace-chart.tsx')).TraceChart }));

export function Picture({
  run,
  ghost,
  isImagined,
}: {
  readonly run: ArcRun;
  readonly ghost: Simulation | null;
  readonly isImagined: boolean;
}) {
  const { simulation, input } = run;
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
  return (
    <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', md: '268px minmax(0, 1fr)' }}>
      <Panel
        px="3"
        py="2"
        title={isImagined ? 'Arc, if it were so' : 'Arc'}
        aside={<Box textStyle="label" color="quiet">{`1/${pace} of real time`}</Box>}
      >
        <LivingArc
          simulation={simulation}
          playhead={playhead}
          playing={playing}
          pace={pace}
          onPlaying={setPlaying}
          onPace={setPace}
          diameterMm={input.diameterMm}
          ctwdMm={input.ctwdMm}
          recessMm={3}
        />
      </Panel>
      <Panel
        px="3"
        py="2"
        title={simulation.words.charAt(0).toUpperCase() + simulation.words.slice(1)}
        aside={<Listen now={simulation} held={ghost} />}
      >
        <Suspense
          fallback={
            <Box height="330px" display="grid" placeItems="center" color="quiet" fontSize="13px" role="status">
              Drawing current and voltage…
            </Box>
          }
        >
          <TraceChart simulation={simulation} ghost={ghost} playhead={playhead} />
        </Suspense>
      </Panel>
    </Box>
  );
}

function prefersStill(): boolean {
  return globalThis.matchMedia?.('(prefers-reduced-motion: reduce)').matches ?? false;
}
