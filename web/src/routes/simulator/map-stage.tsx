/** The sweet-spot map with its axes to choose; dragging its crosshair is tuning. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { Program } from '@fox-tempo/core/setting/program';
import { figureOn, mapAxes, type MapAxis } from '@fox-tempo/core/weld/zone-map';
import { memo, useMemo } from 'react';
import { Action } from '../../ui/action.tsx';
import { BareSelect } from '../../ui/bare-select.tsx';
import { Notice } from '../../ui/notice.tsx';
import { axisWords } from './map-words.ts';
import type { Setting } from './use-setting.ts';
import type { ZoneMapState } from './use-zone-map.ts';
import { ZoneMapView } from './zone-map.tsx';

export interface MapStageProps {
  readonly setting: Setting;
  readonly program: Program;
  readonly ghost: Program | null;
  readonly zoneMap: ZoneMapState;
}

export function MapStage({ setting, program, ghost, zoneMap }: MapStageProps) {
  const { x, y, setX, setY, ranges, at, state, map, share, retry } = zoneMap;
  const held = ghost ? { x: figureOn(ghost, x), y: figureOn(ghost, y) } : null;
  const beat = program.slowBeat ? ([program.slowBeat.lowFeedMPerMin, program.slowBeat.highFeedMPerMin] as const) : null;
  const hasPulse = program.pulse !== null;
  const axes = useMemo(() => mapAxes.filter((axis) => axis !== 'backgroundCurrentA' || hasPulse), [hasPulse]);
  const [up, across] = useMemo(
    () => [axes.filter((axis) => axis !== x), axes.filter((axis) => axis !== y)],
    [axes, x, y],
  );
  return (
    <Box display="flex" flexDirection="column" height="100%" minHeight={0}>
      <Box display="flex" gap="1.5" alignItems="center" mb="1">
        <AxisChoice label={t('view.simulator.map.up-axis')} value={y} axes={up ?? axes} onChange={setY} />
        <Box aria-hidden="true" color="quiet" fontSize="label" flexShrink={0}>
          {t('view.simulator.over')}
        </Box>
        <AxisChoice label={t('view.simulator.across')} value={x} axes={across ?? axes} onChange={setX} />
      </Box>
      {state.kind === 'failed' && (
        <Notice level="caution" word={t('view.simulator.not-drawn')}>
          {state.message}{' '}
          <Action kind="quiet" minHeight="32px" onClick={retry}>
            {t('view.simulator.draw-it-again')}
          </Action>
        </Notice>
      )}
      <ZoneMapView
        map={map}
        {...ranges}
        at={at}
        program={program}
        ghost={held}
        beat={beat}
        share={share}
        title={t('view.simulator.map.title')}
        onMove={(figures) => setting.moveBoth({ [x]: figures.x, [y]: figures.y })}
      />
    </Box>
  );
}

const AxisChoice = memo(function AxisChoice({
  label,
  value,
  axes,
  onChange,
}: {
  readonly label: string;
  readonly value: MapAxis;
  readonly axes: readonly MapAxis[];
  readonly onChange: (axis: MapAxis) => void;
}) {
  return (
    <BareSelect
      label={label}
      value={value}
      choices={axes.map((axis) => ({ value: axis, label: axisWords[axis].name }))}
      onChange={onChange}
      minWidth={0}
      flex="1 1 0"
    />
  );
});
