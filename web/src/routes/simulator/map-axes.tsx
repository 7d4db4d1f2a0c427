/** Ticks and names of the map's axes. */
import { absent } from '@fox-tempo/core/base/messages';
import { inUnitShown, spoken, t, unitShown } from '../../lib/words.ts';
import type { AxisRange } from '@fox-tempo/core/weld/zone-map';
import { cssColour } from '../../ui/theme/colours.ts';
import type { MapFrame } from './map-frame.ts';
import { axisUnit, axisWords } from './map-words.ts';

export function MapAxes({
  x,
  y,
  px,
  py,
  frame,
}: {
  frame: MapFrame;
  x: AxisRange;
  y: AxisRange;
  px: (figure: number) => number;
  py: (figure: number) => number;
}) {
  const { inner, height } = frame;
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
            {tickText(tick, x)}
          </text>
        </g>
      ))}
      {ticks(y).map((tick) => (
        <g key={tick}>
          <line x1={frame.left - 4} x2={frame.left} y1={py(tick)} y2={py(tick)} stroke={cssColour('edge')} />
          <text x={frame.left - 7} y={py(tick) + 4} textAnchor="end" style={text} fill={cssColour('quiet')}>
            {tickText(tick, y)}
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
        {t('view.simulator.axis', {
          axis: axisWords[x.axis].name,
          unit: axisUnit(x.axis) === '' ? absent : axisUnit(x.axis),
        })}
      </text>
      <text x={4} y={height - 6} style={{ fontSize: '12px' }} fill={cssColour('quiet')}>
        {t('view.simulator.up', {
          axis: axisWords[y.axis].name,
          unit: axisUnit(y.axis) === '' ? absent : axisUnit(y.axis),
        })}
      </text>
    </g>
  );
}

/** Stored figures at which the shown ones are round. */
function ticks({ axis, from, to }: AxisRange): number[] {
  const { factor } = unitShown(axisWords[axis].kind);
  const [low, high] = [from / factor, to / factor];
  const rough = (high - low) / 6;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 5, 10].map((one) => one * power).find((one) => one >= rough) ?? rough;
  const first = Math.ceil(low / step) * step;
  return Array.from({ length: Math.floor((high - first) / step + 1e-9) + 1 }, (_, at) =>
    Number(((first + at * step) * factor).toFixed(9)),
  );
}

function tickText(tick: number, { axis }: AxisRange): string {
  return spoken().number(Number(inUnitShown(tick, axisWords[axis].kind).toFixed(3)));
}
