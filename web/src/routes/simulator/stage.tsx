/** What is looked at while a dial is turned: the arc in slow motion, current and voltage or one dial swept, and the map; on a phone one of them. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { Simulation } from '@fox-tempo/core/weld/simulation';
import { lazy, Suspense, useState, type ReactNode } from 'react';
import { Panel } from '../../ui/panel.tsx';
import { TabRow } from '../../ui/tab-row.tsx';
import { Listen } from './listen.tsx';
import { LivingArc } from './living-arc.tsx';
import type { ArcRun } from './use-arc.ts';
import { usePlayhead } from './use-playhead.ts';

const TraceChart = lazy(async () => ({ default: (await import('./trace-chart.tsx')).TraceChart }));

const views = [
  { id: 'arc', name: t('view.simulator.arc') },
  { id: 'trace', name: t('view.simulator.trace') },
  { id: 'map', name: t('view.simulator.map') },
] as const;
type View = (typeof views)[number]['id'];

const middles = [
  { id: 'trace', name: t('view.simulator.trace') },
  { id: 'sweep', name: t('view.simulator.sweep-a-dial') },
] as const;
type Middle = (typeof middles)[number]['id'];

/** All of the first screen that gauges, dials and heads leave. */
const tall = { base: '236px', md: '270px', xl: 'max(300px, calc(100vh - 456px))' } as const;

export interface StageProps {
  readonly run: ArcRun;
  readonly ghost: Simulation | null;
  /** The arc of something imagined, not of the setting. */
  readonly isImagined: boolean;
  readonly map: ReactNode;
  readonly sweep: ReactNode;
}

export function Stage({ run, ghost, isImagined, map, sweep }: StageProps) {
  const { simulation, input } = run;
  const playing = usePlayhead(simulation);
  const [view, setView] = useState<View>('map');
  const [middle, setMiddle] = useState<Middle>('trace');
  const listen = <Listen now={simulation} held={ghost} />;
  const shownOnPhone = (one: View) => ({ base: view === one ? 'flex' : 'none', md: 'flex' }) as const;
  return (
    <Box>
      <Box display={{ base: 'block', md: 'none' }} mb="1">
        <TabRow label={t('view.simulator.what-is-shown')} tabs={views} value={view} onChange={setView} />
      </Box>
      <Box
        display="grid"
        gap="2"
        gridTemplateColumns={{ base: '1fr', md: '190px minmax(0, 1fr)', xl: '196px minmax(0, 1fr) minmax(0, 1.18fr)' }}
        gridTemplateAreas={{ base: '"only"', md: '"arc map" "trace trace"', xl: '"arc trace map"' }}
      >
        <Part
          area="arc"
          display={shownOnPhone('arc')}
          title={isImagined ? t('view.simulator.what-if-title') : undefined}
          height={tall}
        >
          <LivingArc
            simulation={simulation}
            playhead={playing.playhead}
            playing={playing.playing}
            pace={playing.pace}
            onPlaying={playing.setPlaying}
            onPace={playing.setPace}
            diameterMm={input.diameterMm}
            ctwdMm={input.ctwdMm}
            recessMm={3}
          />
        </Part>
        <Part area="trace" display={shownOnPhone('trace')} height={{ ...tall, md: '236px' }}>
          <Box display="flex" alignItems="center" gap="1" minHeight="44px" pe="62px">
            <TabRow label={t('view.simulator.in-the-middle')} tabs={middles} value={middle} onChange={setMiddle} />
            <Box flex="1" />
            <Box display={{ base: 'none', md: 'block', xl: 'none' }}>{listen}</Box>
          </Box>
          {middle === 'trace' ? (
            <>
              <Box flex="1" minHeight={0}>
                <Suspense
                  fallback={
                    <Box display="grid" placeItems="center" color="quiet" fontSize="small" role="status">
                      {t('view.simulator.drawing-chart')}
                    </Box>
                  }
                >
                  <TraceChart simulation={simulation} ghost={ghost} playhead={playing.playhead} />
                </Suspense>
              </Box>
              <Box display={{ base: 'block', md: 'none', xl: 'block' }}>{listen}</Box>
            </>
          ) : (
            sweep
          )}
        </Part>
        <Part area="map" display={shownOnPhone('map')} height={tall}>
          {map}
        </Part>
      </Box>
    </Box>
  );
}

function Part({
  area,
  display,
  height,
  title,
  children,
}: {
  readonly area: View;
  readonly display: { readonly base: string; readonly md: string };
  readonly height: Readonly<Record<string, string>>;
  readonly title?: string | undefined;
  readonly children: ReactNode;
}) {
  return (
    <Panel
      px="2.5"
      py="2"
      gridArea={{ base: 'only', md: area }}
      display={display}
      flexDirection="column"
      height={height}
      {...(title === undefined ? {} : { title })}
    >
      {children}
    </Panel>
  );
}
