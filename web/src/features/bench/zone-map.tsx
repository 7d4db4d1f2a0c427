/** The map: what the arc does around the present setting, its zones named, the crosshair to drag; dragging it is tuning. */
import { Box, chakra } from '@chakra-ui/react';
import {
  contour,
  goodZones,
  marginsAt,
  zoneAreas,
  zoneCentre,
  zoneWords,
  type AxisRange,
  type MapAxis,
  type Program,
  type Zone,
  type ZoneMap,
} from '@fox-tempo/core';
import { useMemo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { download, svgToPng } from '../../lib/download.ts';
import { useSettings } from '../../lib/settings.ts';
import { Action } from '../../ui/action.tsx';
import { colours, cssColour, type ColourName } from '../../ui/theme/colours.ts';

const width = 460;
const height = 300;
const frame = { left: 46, right: 10, top: 10, bottom: 38 };
const inner = { w: width - frame.left - frame.right, h: height - frame.top - frame.bottom };

export const axisWords: Record<
  MapAxis,
  { readonly name: string; readonly unit: string; readonly digits: number; readonly step: number }
> = {
  wireFeedMPerMin: { name: 'wire feed', unit: 'm/min', digits: 1, step: 0.1 },
  trimMm: { name: 'trim', unit: 'mm', digits: 1, step: 0.1 },
  stiffness: { name: 'soft to stiff', unit: '', digits: 0, step: 1 },
  ctwdMm: { name: 'stick-out', unit: 'mm', digits: 1, step: 0.5 },
  backgroundCurrentA: { name: 'fast background', unit: 'A', digits: 0, step: 2 },
};

const arrows: Partial<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** Ground of a zone, with a hatch where colour alone would carry it. */
const grounds: Record<Zone, { readonly colour: ColourName; readonly hatch: 'none' | 'up' | 'down' | 'dots' }> = {
  hum: { colour: 'spruceSoft', hatch: 'none' },
  'steady-dip': { colour: 'spruceSoft', hatch: 'none' },
  hiss: { colour: 'spruceSoft', hatch: 'none' },
  'many-drops': { colour: 'ochreSoft', hatch: 'dots' },
  'big-drops': { colour: 'ochreSoft', hatch: 'dots' },
  globular: { colour: 'ochreSoft', hatch: 'dots' },
  flutter: { colour: 'ochreSoft', hatch: 'up' },
  crackle: { colour: 'crimsonSoft', hatch: 'down' },
  'rough-dip': { colour: 'crimsonSoft', hatch: 'down' },
  stubbing: { colour: 'crimsonSoft', hatch: 'dots' },
  'burn-back': { colour: 'crimsonSoft', hatch: 'up' },
  impossible: { colour: 'line', hatch: 'none' },
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
}

export function ZoneMapView({ map, x, y, at, program, ghost, beat, share, title, onMove }: ZoneMapProps) {
  const theme = useSettings((state) => state.theme);
  const svg = useRef<SVGSVGElement>(null);
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
    <Box>
      <chakra.svg
        ref={svg}
        viewBox={`0 0 ${width} ${height}`}
        width="100%"
        role={onMove ? 'application' : 'img'}
        aria-roledescription={onMove ? 'map with a crosshair moved by the arrow keys' : undefined}
        aria-label={`${title}. ${words}`}
        tabIndex={onMove ? 0 : undefined}
        cursor={onMove ? 'crosshair' : undefined}
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
        css={{ touchAction: 'none', display: 'block' }}
      >
        <Hatches />
        <rect x={frame.left} y={frame.top} width={inner.w} height={inner.h} fill={cssColour('page')} />
        {map && <Ground map={map} />}
        <Axes x={x} y={y} px={px} py={py} />
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
            {(['slow low', 'slow high'] as const).map((label, index) => (
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
              middle
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
              held
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
      </chakra.svg>
      <Box display="flex" justifyContent="space-between" gap="2" alignItems="center" flexWrap="wrap">
        <Box fontSize="13px" aria-live="polite" minHeight="20px">
          {share < 1 ? `drawing… ${Math.round(100 * share)} %` : here ? `here: ${zoneWords[here].symptom}` : ''}
        </Box>
        {map && (
          <Box display="flex" gap="0">
            <Action
              kind="quiet"
              px="2"
              fontSize="12px"
              onClick={() => download(`${name}.svg`, 'image/svg+xml', plainSvg(svg.current, theme))}
            >
              Save SVG
            </Action>
            <Action
              kind="quiet"
              px="2"
              fontSize="12px"
              onClick={() => void svgToPng(plainSvg(svg.current, theme), `${name}.png`, colours.surface[theme])}
            >
              Save PNG
            </Action>
            <Action
              kind="quiet"
              px="2"
              fontSize="12px"
              onClick={() => download(`${name}.csv`, 'text/csv', mapCsv(map))}
            >
              Save CSV
            </Action>
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
  const place = `${axisWords[x.axis].name} ${at.x.toFixed(1)} ${axisWords[x.axis].unit}, ${axisWords[y.axis].name} ${at.y.toFixed(1)} ${axisWords[y.axis].unit}`;
  if (!map) return `Crosshair at ${place}; not drawn yet.`;
  const here = zoneHere(map, at);
  const edges = margins
    .filter((margin) => margin.waits !== null)
    .map(
      ({ direction, by, waits }) =>
        `${waits ? zoneWords[waits].name : ''} ${by.toFixed(1)} ${directionWords(direction, x, y)}`,
    );
  return `Crosshair at ${place}: ${here ? zoneWords[here].name : 'nothing computed'}. Edges: ${edges.join(', ')}.`;
}

export function directionWords(
  direction: ReturnType<typeof marginsAt>[number]['direction'],
  x: AxisRange,
  y: AxisRange,
): string {
  const axis = direction.startsWith('x') ? x.axis : y.axis;
  const { unit, name } = axisWords[axis];
  return `${unit} ${direction.endsWith('up') ? 'more' : 'less'} ${name}`.trim();
}

function Hatches() {
  return (
    <defs>
      <pattern id="hatch-up" width="7" height="7" patternUnits="userSpaceOnUse">
        <path d="M0 7 7 0" stroke={cssColour('ochre')} strokeWidth="1" opacity="0.5" />
      </pattern>
      <pattern id="hatch-down" width="7" height="7" patternUnits="userSpaceOnUse">
        <path d="M0 0 7 7" stroke={cssColour('crimson')} strokeWidth="1" opacity="0.5" />
      </pattern>
      <pattern id="hatch-dots" width="7" height="7" patternUnits="userSpaceOnUse">
        <circle cx="3" cy="3" r="1.1" fill={cssColour('quiet')} opacity="0.7" />
      </pattern>
    </defs>
  );
}

/** Runs of one zone in a row are one rectangle: a tenth of the elements. */
function Ground({ map }: { readonly map: ZoneMap }) {
  const { count, cells } = map;
  const w = inner.w / count;
  const h = inner.h / count;
  const runs = useMemo(() => {
    const found: { zone: Zone; column: number; row: number; length: number }[] = [];
    for (let row = 0; row < count; row++) {
      for (let column = 0; column < count; column++) {
        const zone = cells[row * count + column]?.zone;
        if (zone === undefined) continue;
        const last = found.at(-1);
        if (last?.row === row && last.zone === zone && last.column + last.length === column) last.length++;
        else found.push({ zone, column, row, length: 1 });
      }
    }
    return found;
  }, [cells, count]);
  const lines = useMemo(() => {
    const values = (pick: (cell: NonNullable<(typeof cells)[number]>) => number) =>
      cells.map((cell) => (cell === null || cell.zone === 'impossible' ? Number.NaN : pick(cell)));
    const shorts = values((cell) => cell.shortsPerS);
    return [
      ...contour(shorts, count, 3),
      ...contour(
        values((cell) => cell.dropsPerPulse),
        count,
        1.35,
      ),
    ];
  }, [cells, count]);
  const labels = useMemo(() => labelPlaces(map), [map]);
  return (
    <g>
      {runs.map(({ zone, column, row, length }) => {
        const box = {
          x: frame.left + column * w,
          y: frame.top + (count - 1 - row) * h,
          width: length * w + 0.4,
          height: h + 0.4,
        };
        const { colour, hatch } = grounds[zone];
        return (
          <g key={`${column} ${row}`}>
            <rect {...box} fill={cssColour(colour)} />
            {hatch !== 'none' && <rect {...box} fill={`url(#hatch-${hatch})`} />}
          </g>
        );
      })}
      <path
        d={lines
          .map(
            ([x1, y1, x2, y2]) =>
              `M${(frame.left + x1 * inner.w).toFixed(1)} ${(frame.top + (1 - y1) * inner.h).toFixed(1)}L${(frame.left + x2 * inner.w).toFixed(1)} ${(frame.top + (1 - y2) * inner.h).toFixed(1)}`,
          )
          .join('')}
        stroke={cssColour('ink')}
        strokeWidth="1"
        opacity="0.5"
        fill="none"
      />
      {labels.map(({ zone, x, y }) => (
        <MapText key={zone} x={frame.left + x * inner.w} y={frame.top + (1 - y) * inner.h} anchor="middle" strong>
          {zoneWords[zone].name}
        </MapText>
      ))}
    </g>
  );
}

/** Name of each zone in the middle of its widest run near its own middle. */
function labelPlaces(map: ZoneMap): { zone: Zone; x: number; y: number }[] {
  return zoneAreas(map).flatMap(({ zone, share }) => {
    if (share < 0.03 || zone === 'impossible') return [];
    const centre = zoneCentre(map, [zone]);
    if (!centre) return [];
    const x = (centre.x - map.x.from) / (map.x.to - map.x.from);
    const y = (centre.y - map.y.from) / (map.y.to - map.y.from);
    // Above the mark of the good zone's middle, which stands at the same place.
    return [{ zone, x: Math.min(Math.max(x, 0.14), 0.86), y: Math.min(Math.max(y + 0.06, 0.05), 0.94) }];
  });
}

function MapText({
  x,
  y,
  anchor,
  strong = false,
  children,
}: {
  x: number;
  y: number;
  anchor: 'start' | 'middle' | 'end';
  strong?: boolean;
  children: React.ReactNode;
}) {
  return (
    <text
      x={x}
      y={y}
      textAnchor={anchor}
      style={{
        fontSize: strong ? '12.5px' : '11px',
        fontWeight: strong ? 650 : 500,
        paintOrder: 'stroke',
        pointerEvents: 'none',
      }}
      fill={cssColour('ink')}
      stroke={cssColour('surface')}
      strokeWidth="3"
    >
      {children}
    </text>
  );
}

function Axes({
  x,
  y,
  px,
  py,
}: {
  x: AxisRange;
  y: AxisRange;
  px: (figure: number) => number;
  py: (figure: number) => number;
}) {
  const text = { fontSize: '11px', fontFamily: 'var(--chakra-fonts-mono)' };
  return (
    <g>
      {ticks(x).map((tick) => (
        <g key={tick}>
          <line
            x1={px(tick)}
            x2={px(tick)}
            y1={frame.top + inner.h}
            y2={frame.top + inner.h + 4}
            stroke={cssColour('edge')}
          />
          <text x={px(tick)} y={frame.top + inner.h + 16} textAnchor="middle" style={text} fill={cssColour('quiet')}>
            {tick.toFixed(axisWords[x.axis].digits === 0 ? 0 : tick % 1 === 0 ? 0 : 1)}
          </text>
        </g>
      ))}
      {ticks(y).map((tick) => (
        <g key={tick}>
          <line x1={frame.left - 4} x2={frame.left} y1={py(tick)} y2={py(tick)} stroke={cssColour('edge')} />
          <text x={frame.left - 7} y={py(tick) + 4} textAnchor="end" style={text} fill={cssColour('quiet')}>
            {String(Number(tick.toFixed(1))).replace('-', '−')}
          </text>
        </g>
      ))}
      <text
        x={frame.left + inner.w}
        y={height - 6}
        textAnchor="end"
        style={{ fontSize: '12px' }}
        fill={cssColour('quiet')}
      >
        {axisWords[x.axis].name}
        {axisWords[x.axis].unit === '' ? '' : `, ${axisWords[x.axis].unit}`}
      </text>
      <text x={4} y={height - 6} style={{ fontSize: '12px' }} fill={cssColour('quiet')}>
        up: {axisWords[y.axis].name}
        {axisWords[y.axis].unit === '' ? '' : `, ${axisWords[y.axis].unit}`}
      </text>
    </g>
  );
}

function ticks({ from, to }: AxisRange): number[] {
  const rough = (to - from) / 6;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 5, 10].map((one) => one * power).find((one) => one >= rough) ?? rough;
  const first = Math.ceil(from / step) * step;
  return Array.from({ length: Math.floor((to - first) / step + 1e-9) + 1 }, (_, at) =>
    Number((first + at * step).toFixed(6)),
  );
}

/** The drawing by itself, with its colours written out. */
function plainSvg(svg: SVGSVGElement | null, theme: 'day' | 'night'): string {
  if (!svg) return '';
  const text = new XMLSerializer().serializeToString(svg).replace('<svg ', `<svg width="${width}" height="${height}" `);
  return (Object.keys(colours) as ColourName[]).reduce(
    (all, name) => all.replaceAll(cssColour(name), colours[name][theme]),
    text,
  );
}

function mapCsv(map: ZoneMap): string {
  const rows = [`${map.x.axis},${map.y.axis},zone,shorts per s,drops per pulse,arc length (mm)`];
  map.cells.forEach((cell, place) => {
    if (!cell) return;
    const x = map.x.from + (((place % map.count) + 0.5) / map.count) * (map.x.to - map.x.from);
    const y = map.y.from + ((Math.floor(place / map.count) + 0.5) / map.count) * (map.y.to - map.y.from);
    rows.push(
      [
        x.toFixed(3),
        y.toFixed(3),
        cell.zone,
        cell.shortsPerS.toFixed(1),
        cell.dropsPerPulse.toFixed(2),
        cell.arcLengthMm.toFixed(2),
      ].join(','),
    );
  });
  return rows.join('\r\n');
}
