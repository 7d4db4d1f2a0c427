/** The zones of a map on their ground, hatched where colour alone would carry it, with contours and names. */
import { format } from '../../lib/words.ts';
import type { PlanMode } from '@fox-tempo/core/setting/plan';
import {
  contour,
  goodZones,
  zoneAreas,
  zoneCentre,
  zoneWords,
  type Zone,
  type ZoneMap,
} from '@fox-tempo/core/weld/zone-map';
import { memo, useMemo } from 'react';
import { cssColour, type ColourName } from '../../ui/theme/colours.ts';
import type { MapFrame } from './map-frame.ts';
import { MapText } from './map-text.tsx';

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

function Hatches({ prefix }: { readonly prefix: string }) {
  return (
    <defs>
      <pattern id={`${prefix}-up`} width="7" height="7" patternUnits="userSpaceOnUse">
        <path d="M0 7 7 0" stroke={cssColour('ochre')} strokeWidth="1" opacity="0.5" />
      </pattern>
      <pattern id={`${prefix}-down`} width="7" height="7" patternUnits="userSpaceOnUse">
        <path d="M0 0 7 7" stroke={cssColour('crimson')} strokeWidth="1" opacity="0.5" />
      </pattern>
      <pattern id={`${prefix}-dots`} width="7" height="7" patternUnits="userSpaceOnUse">
        <circle cx="3" cy="3" r="1.1" fill={cssColour('quiet')} opacity="0.7" />
      </pattern>
    </defs>
  );
}

/** Green is only what this transfer is meant to be welded in: spray beside a dip is another process, not a good one. */
function groundOf(zone: Zone, mode: PlanMode) {
  const ground = grounds[zone];
  const isGreen = ground.colour === 'spruceSoft';
  return isGreen && !goodZones(mode).includes(zone) ? grounds.globular : ground;
}

/** Runs of one zone in a row are one rectangle: a tenth of the elements. */
export const MapGround = memo(function MapGround({
  map,
  mode,
  prefix,
  frame,
}: {
  readonly map: ZoneMap;
  readonly frame: MapFrame;
  readonly mode: PlanMode;
  readonly prefix: string;
}) {
  const { count, cells } = map;
  const { inner } = frame;
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
      <Hatches prefix={prefix} />
      {runs.map(({ zone, column, row, length }) => {
        const box = {
          x: frame.left + column * w,
          y: frame.top + (count - 1 - row) * h,
          width: length * w + 0.4,
          height: h + 0.4,
        };
        const { colour, hatch } = groundOf(zone, mode);
        return (
          <g key={`${column} ${row}`}>
            <rect {...box} fill={cssColour(colour)} />
            {hatch !== 'none' && <rect {...box} fill={`url(#${prefix}-${hatch})`} />}
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
          {format(zoneWords[zone].name)}
        </MapText>
      ))}
    </g>
  );
});

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
