/** The map: what the arc does around the present setting, its zones named, the crosshair to drag; dragging it is tuning. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, format } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { Program } from '@fox-tempo/core/setting/program';
import {
  goodZones,
  marginsAt,
  zoneCentre,
  zoneWords,
  type AxisRange,
  type Zone,
  type ZoneMap,
} from '@fox-tempo/core/weld/zone-map';
import { useId, useMemo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { download, svgToPng } from '../../lib/download.ts';
import { useSettings } from '../../session/settings.ts';
import { useSize } from '../../ui/canvas/use-size.ts';
import { SaveMenu } from '../../ui/save-menu.tsx';
import { colours, cssColour } from '../../ui/theme/colours.ts';
import { MapAxes } from './map-axes.tsx';
import { mapCsv, plainSvg } from './map-export.ts';
import { mapFrame } from './map-frame.ts';
import { MapGround } from './map-ground.tsx';
import { MapText } from './map-text.tsx';
import { axisFigure, axisWords, directionWords } from './map-words.ts';

const layer = { position: 'absolute', inset: 0, width: '100%', height: '100%', display: 'block' } as const;

const arrows: Partial<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

export interface ZoneMapProps {
  readonly map: ZoneMap | null;
  readonly x: AxisRange;
  readonly y: AxisRange;
  readonly at: { readonly x: number; readonly y: number };
  readonly program: Program;
  readonly ghost: { readonly x: number; readonly y: number } | null;
  /** High and low of a slow beat, on the feed axis. */
  readonly beat: readonly [number, number] | null;
  readonly share: number;
  readonly title: string;
  readonly onMove: ((figures: { x: number; y: number }) => void) | null;
  readonly height?: number | string;
}

export function ZoneMapView({
  map,
  x,
  y,
  at,
  program,
  ghost,
  beat,
  share,
  title,
  onMove,
  height: tall = '260px',
}: ZoneMapProps) {
  const holder = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(holder, { width: 380, height: 260 });
  const frame = useMemo(() => mapFrame(width, height), [width, height]);
  const { inner } = frame;
  const theme = useSettings((state) => state.theme);
  const svg = useRef<SVGSVGElement>(null);
  const ground = useRef<SVGSVGElement>(null);
  const prefix = useId();
  const dragging = useRef(false);
  const px = (figure: number) => frame.left + ((figure - x.from) / (x.to - x.from)) * inner.w;
  const py = (figure: number) => frame.top + (1 - (figure - y.from) / (y.to - y.from)) * inner.h;
  const centre = useMemo(
    () => (map && share === 1 ? zoneCentre(map, goodZones(program.mode)) : undefined),
    [map, share, program.mode],
  );
  const margins = useMemo(() => (map ? marginsAt(map, at.x, at.y) : []), [map, at.x, at.y]);

  function figureAt(event: PointerEvent<SVGSVGElement>) {
    const box = svg.current?.getBoundingClientRect();
    if (!box) return at;
    const shareX = (((event.clientX - box.left) / box.width) * width - frame.left) / inner.w;
    const shareY = 1 - (((event.clientY - box.top) / box.height) * height - frame.top) / inner.h;
    return { x: clamp(x.from + shareX * (x.to - x.from), x), y: clamp(y.from + shareY * (y.to - y.from), y) };
  }
  function onKeyDown(event: KeyboardEvent) {
    const arrow = arrows[event.key];
    if (!onMove || !arrow) return;
    const [dx, dy] = arrow;
    event.preventDefault();
    const by = event.shiftKey ? 5 : 1;
    onMove({
      x: clamp(at.x + dx * by * axisWords[x.axis].step, x),
      y: clamp(at.y + dy * by * axisWords[y.axis].step, y),
    });
  }

  const here = map ? zoneHere(map, at) : null;
  const words = mapWords(map, at, x, y, margins);
  const name = `map-${x.axis}-${y.axis}`;
  return (
    <Box minHeight={0} display="flex" flexDirection="column" height="100%">
      <Box ref={holder} position="relative" height={tall} flex="1 1 auto" minHeight="110px">
        {/* A layer of its own: the crosshair moves over it without painting a thousand places again. */}
        <svg
          ref={ground}
          viewBox={`0 0 ${width} ${height}`}
          aria-hidden="true"
          style={{ ...layer, willChange: 'transform' }}
        >
          <rect x={frame.left} y={frame.top} width={inner.w} height={inner.h} fill={cssColour('page')} />
          {map && <MapGround map={map} mode={program.mode} prefix={prefix} frame={frame} />}
          <MapAxes x={x} y={y} px={px} py={py} frame={frame} />
        </svg>
        <svg
          ref={svg}
          viewBox={`0 0 ${width} ${height}`}
          role={onMove ? 'application' : 'img'}
          aria-roledescription={onMove ? t('view.simulator.map.keyboard') : undefined}
          aria-label={`${title}. ${words}`}
          tabIndex={onMove ? 0 : undefined}
          onKeyDown={onKeyDown}
          onPointerDown={(event) => {
            if (!onMove) return;
            dragging.current = true;
            event.currentTarget.setPointerCapture(event.pointerId);
            onMove(figureAt(event));
          }}
          onPointerMove={(event) => {
            if (dragging.current && onMove) onMove(figureAt(event));
          }}
          onPointerUp={() => {
            dragging.current = false;
          }}
          style={{ ...layer, touchAction: 'none', cursor: onMove ? 'crosshair' : undefined }}
        >
          {beat && x.axis === 'wireFeedMPerMin' && (
            <g>
              <line
                x1={px(beat[0])}
                x2={px(beat[1])}
                y1={py(at.y)}
                y2={py(at.y)}
                stroke={cssColour('volt')}
                strokeWidth="4"
                opacity="0.8"
              />
              {([t('view.simulator.low-level'), t('view.simulator.high-level')] as const).map((label, index) => (
                <g key={label}>
                  <circle cx={px(beat[index] ?? 0)} cy={py(at.y)} r="6" fill={cssColour('volt')} />
                  <MapText x={px(beat[index] ?? 0)} y={py(at.y) - 10} anchor="middle">
                    {label}
                  </MapText>
                </g>
              ))}
            </g>
          )}
          {centre && (
            <g>
              <path
                d={`M${px(centre.x)} ${py(centre.y) - 8}l8 8-8 8-8-8Z`}
                fill="none"
                stroke={cssColour('spruce')}
                strokeWidth="2"
              />
              <MapText x={px(centre.x)} y={py(centre.y) + 22} anchor="middle">
                {t('view.simulator.middle')}
              </MapText>
            </g>
          )}
          {ghost && (
            <g>
              <circle
                cx={px(ghost.x)}
                cy={py(ghost.y)}
                r="7"
                fill="none"
                stroke={cssColour('quiet')}
                strokeWidth="2"
                strokeDasharray="3 3"
              />
              <MapText x={px(ghost.x)} y={py(ghost.y) - 11} anchor="middle">
                {t('view.simulator.held')}
              </MapText>
            </g>
          )}
          <line
            x1={frame.left}
            x2={frame.left + inner.w}
            y1={py(at.y)}
            y2={py(at.y)}
            stroke={cssColour('ink')}
            strokeWidth="1"
            opacity="0.55"
          />
          <line
            y1={frame.top}
            y2={frame.top + inner.h}
            x1={px(at.x)}
            x2={px(at.x)}
            stroke={cssColour('ink')}
            strokeWidth="1"
            opacity="0.55"
          />
          <circle
            cx={px(at.x)}
            cy={py(at.y)}
            r="8"
            fill={cssColour('accent')}
            stroke={cssColour('surface')}
            strokeWidth="2.5"
          />
        </svg>
      </Box>
      <Box display="flex" justifyContent="space-between" gap="2" alignItems="center">
        <Box
          fontSize="small"
          aria-live="polite"
          minHeight="20px"
          truncate
          {...(here ? { title: format(zoneWords[here].symptom) } : {})}
        >
          {share < 1
            ? t('view.simulator.drawing', { share: amount('percent', 100 * share, 0) })
            : here
              ? t('view.simulator.here', { symptom: zoneWords[here].symptom })
              : ''}
        </Box>
        {map && (
          <Box display={{ base: 'none', md: 'block' }}>
            <SaveMenu
              what={t('view.simulator.the-map')}
              ways={[
                {
                  name: 'SVG',
                  save: () => download(`${name}.svg`, 'image/svg+xml', plainSvg(ground.current, svg.current, theme)),
                },
                {
                  name: 'PNG',
                  save: () =>
                    void svgToPng(plainSvg(ground.current, svg.current, theme), `${name}.png`, colours.surface[theme]),
                },
                { name: 'CSV', save: () => download(`${name}.csv`, 'text/csv', mapCsv(map)) },
              ]}
            />
          </Box>
        )}
      </Box>
    </Box>
  );
}

function clamp(figure: number, { from, to }: AxisRange): number {
  return Number(Math.min(Math.max(figure, from), to).toFixed(3));
}

export function zoneHere(map: ZoneMap, at: { x: number; y: number }): Zone | null {
  const column = Math.floor(((at.x - map.x.from) / (map.x.to - map.x.from)) * map.count);
  const row = Math.floor(((at.y - map.y.from) / (map.y.to - map.y.from)) * map.count);
  if (column < 0 || row < 0 || column >= map.count || row >= map.count) return null;
  return map.cells[row * map.count + column]?.zone ?? null;
}

function mapWords(
  map: ZoneMap | null,
  at: { x: number; y: number },
  x: AxisRange,
  y: AxisRange,
  margins: ReturnType<typeof marginsAt>,
): string {
  const place = `${axisWords[x.axis].name} ${axisFigure(x.axis, at.x)}, ${axisWords[y.axis].name} ${axisFigure(y.axis, at.y)}`;
  if (!map) return t('view.simulator.map.crosshair-empty', { place });
  const here = zoneHere(map, at);
  const edges = margins
    .filter((margin) => margin.waits !== null)
    .map(
      ({ direction, by, waits }) =>
        `${waits ? format(zoneWords[waits].name) : ''} ${directionWords(direction, x, y, by)}`,
    );
  return t('view.simulator.crosshair-at-edges', {
    place,
    here: here ? zoneWords[here].name : t('view.simulator.nothing-computed'),
    edges,
  });
}
