/** The part laid flat at one moment: how warm it is, and its seams in their order. */
import { Box } from '@chakra-ui/react';
import { boxFaces, flatOf, type PartShape, type Place, type Soaked } from '@fox-tempo/core/weld/soak';
import { amount } from '@fox-tempo/core/base/messages';
import { useEffect, useMemo, useRef } from 'react';
import { t, format } from '../../lib/words.ts';
import { useSettings } from '../../session/settings.ts';
import { faceName } from './names.ts';
import { colours, cssColour, type Theme } from '../../ui/theme/colours.ts';

export interface FieldSeam {
  readonly from: Place;
  readonly to: Place;
  /** 1 is welded first. */
  readonly place: number;
}

export interface FieldPictureProps {
  readonly shape: PartShape;
  readonly soaked: Soaked;
  readonly seams: readonly FieldSeam[];
  readonly atS: number;
  readonly ambientC: number;
  readonly hottestC: number;
}

/** Cells along the drawing; finer is not seen. */
const columns = 110;
/** A bar or a low wall is drawn at least so many cells wide. */
const fewest = 3;

export function FieldPicture({ shape, soaked, seams, atS, ambientC, hottestC }: FieldPictureProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const theme = useSettings((state) => state.theme);
  const flat = useMemo(() => flatOf(shape), [shape]);
  const perMm = Math.max(
    columns / flat.widthMm,
    fewest / Math.min(...flat.faces.flatMap(({ widthMm, heightMm }) => [widthMm, heightMm])),
  );
  const size = [Math.ceil(flat.widthMm * perMm), Math.ceil(flat.heightMm * perMm)] as const;
  const [wide, high] = size;
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context) return;
    context.clearRect(0, 0, wide, high);
    for (const face of flat.faces) {
      const across = Math.max(Math.round(face.widthMm * perMm), 1);
      const down = Math.max(Math.round(face.heightMm * perMm), 1);
      const image = context.createImageData(across, down);
      for (let row = 0; row < down; row++)
        for (let column = 0; column < across; column++) {
          const place = face.place(((column + 0.5) / across) * face.widthMm, ((row + 0.5) / down) * face.heightMm);
          const share = (soaked.tempAt(place, atS) - ambientC) / Math.max(hottestC - ambientC, 1);
          image.data.set([...warmth(share, theme), 255], 4 * (row * across + column));
        }
      context.putImageData(image, Math.round(face.x * perMm), Math.round(face.y * perMm));
    }
  }, [flat, perMm, wide, high, soaked, atS, ambientC, hottestC, theme]);
  const running = soaked.seams.findIndex(({ startAtS, endAtS }) => atS >= startAtS && atS <= endAtS);
  const point = (place: Place) => flat.faces.find(({ face }) => face === (place[2] ?? 0))?.point(place) ?? [0, 0];
  const letter = flat.widthMm / 32;
  return (
    <Box
      position="relative"
      width="100%"
      maxWidth={`${(tallest * flat.widthMm) / flat.heightMm}px`}
      aspectRatio={`${flat.widthMm} / ${flat.heightMm}`}
      borderWidth={shape.kind === 'plate' ? '1px' : '0'}
      borderColor="metalEdge"
    >
      <Box asChild position="absolute" inset="0" width="100%" height="100%">
        <canvas ref={canvas} width={wide} height={high} aria-hidden="true" />
      </Box>
      <Box asChild position="absolute" inset="0" width="100%" height="100%" overflow="visible">
        <svg
          viewBox={`0 0 ${flat.widthMm} ${flat.heightMm}`}
          role="img"
          aria-label={t('view.heat.part-after', { seconds: amount('phaseTime', atS, 0) })}
        >
          {shape.kind !== 'plate' &&
            flat.faces.map((face) => (
              <rect
                key={face.face}
                x={face.x}
                y={face.y}
                width={face.widthMm}
                height={face.heightMm}
                fill="none"
                stroke={cssColour('metalEdge')}
                vectorEffect="non-scaling-stroke"
              />
            ))}
          {shape.kind === 'box' &&
            flat.faces.map((face) => (
              <text
                key={face.face}
                x={face.x + face.widthMm / 2}
                y={face.y + face.heightMm / 2 + letter / 3}
                fontSize={letter * 0.8}
                fill={cssColour('ink')}
                textAnchor="middle"
              >
                {faceName(boxFaces[face.face] ?? 'base')}
              </text>
            ))}
          {seams.map(({ from, to, place }) => {
            const [a, b] = [point(from), point(to)];
            const along = Math.hypot(b[0] - a[0], b[1] - a[1]);
            // The number stands beside the seam's start, on its left hand; at a joint above it.
            const [ux, uy] = along > 0 ? [(b[0] - a[0]) / along, (b[1] - a[1]) / along] : [0, 0];
            return (
              <g key={place}>
                <line
                  x1={a[0]}
                  y1={a[1]}
                  x2={b[0]}
                  y2={b[1]}
                  stroke={cssColour(place - 1 === running ? 'accent' : 'ink')}
                  strokeWidth={place - 1 === running ? 4 : 2}
                  vectorEffect="non-scaling-stroke"
                />
                <circle cx={a[0]} cy={a[1]} r={letter / 3} fill={cssColour(place - 1 === running ? 'accent' : 'ink')} />
                <text
                  x={a[0] + ux * letter * 1.2 + uy * letter * 0.5}
                  y={a[1] + uy * letter * 1.2 - Math.abs(ux) * letter * 0.5 + (along > 0 ? letter / 3 : -letter / 1.6)}
                  fontSize={letter}
                  fontWeight="600"
                  fill={cssColour('ink')}
                  textAnchor="middle"
                >
                  {place}
                </text>
              </g>
            );
          })}
        </svg>
      </Box>
    </Box>
  );
}
/** The drawing is no taller than this, px. */
const tallest = 420;

/** Cold metal, ochre, crimson, by share of the hottest. */
function warmth(share: number, theme: Theme): readonly [number, number, number] {
  const stops = (['metal', 'ochreSoft', 'ochre', 'crimson'] as const).map((name) => rgb(colours[name][theme]));
  const at = Math.min(Math.max(share, 0), 1) * (stops.length - 1);
  const low = stops[Math.floor(at)] ?? [0, 0, 0];
  const high = stops[Math.min(Math.floor(at) + 1, stops.length - 1)] ?? low;
  const part = at - Math.floor(at);
  return [0, 1, 2].map((k) => Math.round((low[k] ?? 0) + ((high[k] ?? 0) - (low[k] ?? 0)) * part)) as [
    number,
    number,
    number,
  ];
}

function rgb(hex: string): [number, number, number] {
  return [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)) as [number, number, number];
}

/** The scale of the colours, from the surroundings to the hottest that is drawn. */
export function WarmthScale({ ambientC, hottestC }: { readonly ambientC: number; readonly hottestC: number }) {
  const theme = useSettings((state) => state.theme);
  const stops = [0, 0.33, 0.67, 1].map((share) => `rgb(${warmth(share, theme).join(' ')})`);
  return (
    <Box display="flex" alignItems="center" gap="2" fontSize="label" color="quiet">
      {format(amount('temperature', ambientC, 0))}
      <Box
        flex="1"
        height="10px"
        borderRadius="2px"
        style={{ background: `linear-gradient(to right, ${stops.join(', ')})` }}
      />
      {format(amount('temperature', hottestC, 0))}
    </Box>
  );
}
