/** A photograph with two clicks on a known length, and two on what is to be measured. */
import { Box, chakra } from '@chakra-ui/react';
import { amount } from '@fox-tempo/core/base/messages';
import { useState, type MouseEvent } from 'react';
import { blobAddress } from '../../data/blobs.ts';
import { t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { cssColour } from '../../ui/theme/colours.ts';
import { ValueField } from '../../ui/value-field.tsx';

type Point = readonly [number, number];

export function PhotoView({ sha256, name }: { readonly sha256: string; readonly name: string }) {
  const [points, setPoints] = useState<readonly Point[]>([]);
  const [knownMm, setKnownMm] = useState<number | null>(10);
  const [size, setSize] = useState<Point>([4, 3]);
  const click = (event: MouseEvent<HTMLElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const point: Point = [
      ((event.clientX - box.left) / box.width) * size[0],
      ((event.clientY - box.top) / box.height) * size[1],
    ];
    setPoints(points.length === 4 ? [points[0] ?? point, points[1] ?? point, point] : [...points, point]);
  };
  const measuredMm = measured(points, knownMm);
  return (
    <Box display="grid" gap="2">
      <Box position="relative" cursor="crosshair" onClick={click} maxWidth="560px">
        <chakra.img
          src={blobAddress(sha256)}
          alt={name}
          width="100%"
          borderRadius="3px"
          onLoad={(event) => setSize([event.currentTarget.naturalWidth, event.currentTarget.naturalHeight])}
        />
        <Box asChild position="absolute" inset="0" width="100%" height="100%" pointerEvents="none">
          <svg viewBox={`0 0 ${size[0]} ${size[1]}`} preserveAspectRatio="none" aria-hidden="true">
            {[0, 2].map((at) => {
              const [one, two] = [points[at], points[at + 1]];
              return one && two ? (
                <line
                  key={at}
                  x1={one[0]}
                  y1={one[1]}
                  x2={two[0]}
                  y2={two[1]}
                  stroke={cssColour(at === 0 ? 'ochre' : 'accent')}
                  strokeWidth="3"
                  vectorEffect="non-scaling-stroke"
                />
              ) : null;
            })}
            {points.map(([x, y], at) => (
              <circle key={at} cx={x} cy={y} r={size[0] / 120} fill={cssColour(at < 2 ? 'ochre' : 'accent')} />
            ))}
          </svg>
        </Box>
      </Box>
      <Box display="flex" gap="2" alignItems="end" flexWrap="wrap">
        <Box width="150px">
          <ValueField
            label={t('view.trials.known-length')}
            of="shortLength"
            value={knownMm}
            keep={`photo/${sha256}`}
            range={[0.5, 1000]}
            step={1}
            onValue={setKnownMm}
          />
        </Box>
        <Box fontSize="small" color="quiet" flex="1" minWidth="180px" aria-live="polite">
          {measuredMm === null
            ? points.length < 2
              ? t('view.trials.photo.both-ends')
              : t('view.trials.photo.then-ends')
            : t('view.trials.measures', { length: amount('shortLength', measuredMm, 1) })}
        </Box>
        <Action kind="quiet" onClick={() => setPoints([])}>
          {t('view.trials.click-again')}
        </Action>
      </Box>
    </Box>
  );
}

function measured(points: readonly Point[], knownMm: number | null): number | null {
  const [a, b, c, d] = points;
  if (!a || !b || !c || !d || knownMm === null) return null;
  const scale = Math.hypot(a[0] - b[0], a[1] - b[1]);
  return scale === 0 ? null : (knownMm * Math.hypot(c[0] - d[0], c[1] - d[1])) / scale;
}
