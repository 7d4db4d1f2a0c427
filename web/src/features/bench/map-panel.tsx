/** The sweet-spot map with its axes to choose, the margins in dial steps with what waits there, and a second map beside it on one scale. */
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import {
  axisRange,
  commonGasCodes,
  figureOn,
  gasOf,
  goodZones,
  isNumeric,
  mapAxes,
  marginsAt,
  quantityOf,
  zoneAreas,
  zoneCentre,
  zoneWords,
  type AxisRange,
  type MapAxis,
  type Program,
  type WireCorrection,
  type ZoneMap,
} from '@fox-tempo/core';
import { memo, useMemo, useState, type ReactNode } from 'react';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import type { Setting } from './use-setting.ts';
import { useMap, type MapState } from './use-map.ts';
import { axisWords, directionWords } from './map-words.ts';
import { ZoneMapView } from './zone-map.tsx';

export interface MapPanelProps {
  readonly setting: Setting;
  readonly program: Program;
  readonly machine: MachineResource | undefined;
  readonly circuitMOhm: number;
  readonly correction: WireCorrection | null;
  readonly ghost: Program | null;
}

/** What the second map may have otherwise. */
type Beside = 'none' | 'hand-out' | `gas:${string}`;

export function MapPanel({ setting, program, machine, circuitMOhm, correction, ghost }: MapPanelProps) {
  const [x, setX] = useState<MapAxis>('wireFeedMPerMin');
  const [y, setY] = useState<MapAxis>('trimMm');
  const [beside, setBeside] = useState<Beside>('none');
  const [attempt, setAttempt] = useState(0);
  const anchor = useAnchor(program, x, y);
  const ranges = useMemo(() => ({ x: axisRange(anchor, x), y: axisRange(anchor, y) }), [anchor, x, y]);
  const heldBackgroundA = setting.tune.backgroundCurrentA;
  const question = useMemo(
    () => ({ program: anchor, ...ranges, circuitMOhm, heldBackgroundA, ...(correction ? { correction } : {}) }),
    [anchor, ranges, circuitMOhm, heldBackgroundA, correction],
  );
  const other = useMemo(
    () => (beside === 'none' ? null : { ...question, program: otherProgram(anchor, beside) }),
    [question, anchor, beside],
  );
  const state = useMap(question, attempt);
  const second = useMap(other, attempt);
  const at = { x: figureOn(program, x), y: figureOn(program, y) };
  const held = ghost ? { x: figureOn(ghost, x), y: figureOn(ghost, y) } : null;
  const beat = program.slowBeat ? ([program.slowBeat.lowFeedMPerMin, program.slowBeat.highFeedMPerMin] as const) : null;
  const axes = mapAxes
    .filter((axis) => axis !== 'backgroundCurrentA' || program.pulse !== null)
    .map((value) => ({ value, label: axisWords[value].name }));
  const map = mapOf(state);
  const otherName = besideWords(beside);
  return (
    <Panel
      gridColumn={beside === 'none' ? undefined : '1 / -1'}
      title="Sweet-spot map"
      aside={
        <Box textStyle="label" color="quiet">
          {correction ? 'of this very machine, as calibrated' : 'drag the point, or move it by arrow keys'}
        </Box>
      }
    >
      <Box display="grid" gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(3, 1fr)' }} gap="2.5" mb="2">
        <ChoiceField label="Across" value={x} choices={axes.filter((axis) => axis.value !== y)} onChange={setX} />
        <ChoiceField label="Up" value={y} choices={axes.filter((axis) => axis.value !== x)} onChange={setY} />
        <ChoiceField label="Beside it" value={beside} choices={besideChoices(program)} onChange={setBeside} />
      </Box>
      {state.kind === 'failed' && (
        <Notice level="caution" word="Not drawn.">
          {state.message}{' '}
          <Action kind="quiet" minHeight="32px" onClick={() => setAttempt(attempt + 1)}>
            Draw it again
          </Action>
        </Notice>
      )}
      <Box display="grid" gap="3" gridTemplateColumns={beside === 'none' ? '1fr' : { base: '1fr', md: '1fr 1fr' }}>
        <Box>
          {beside !== 'none' && <MapName>As set</MapName>}
          <ZoneMapView
            map={map}
            {...ranges}
            at={at}
            program={program}
            ghost={held}
            beat={beat}
            share={shareOf(state)}
            title="Map of this setting"
            onMove={(figures) => setting.moveBoth({ [x]: figures.x, [y]: figures.y })}
          />
        </Box>
        {beside !== 'none' && (
          <Box>
            <MapName>The same with {otherName}</MapName>
            <ZoneMapView
              map={mapOf(second)}
              {...ranges}
              at={at}
              program={program}
              ghost={null}
              beat={null}
              share={shareOf(second)}
              title={`The same with ${otherName}`}
              onMove={null}
            />
          </Box>
        )}
      </Box>
      {map && (
        <Margins
          map={map}
          at={at}
          ranges={ranges}
          program={program}
          machine={machine}
          setting={setting}
          x={x}
          y={y}
          done={state.kind === 'done'}
        />
      )}
      {map && state.kind === 'done' && (
        <Areas map={map} other={second.kind === 'done' ? second.map : null} otherName={otherName} />
      )}
    </Panel>
  );
}

function MapName({ children }: { readonly children: ReactNode }) {
  return (
    <Box fontSize="13.5px" fontWeight={600} mb="1">
      {children}
    </Box>
  );
}

/** The setting that the map is drawn around: moving along the map's own axes does not draw it anew. */
function useAnchor(program: Program, x: MapAxis, y: MapAxis): Program {
  const rest = surroundings(program, [x, y]);
  const [anchor, setAnchor] = useState({ rest, program });
  if (anchor.rest !== rest) {
    setAnchor({ rest, program });
    return program;
  }
  return anchor.program;
}

/** Everything the arc of a place depends on beside the axes, as one text. */
function surroundings(program: Program, along: readonly MapAxis[]): string {
  const { filler, gas, diameterMm, mode, pulse, slowBeat } = program;
  const fixed = mapAxes.filter(
    // The background follows the feed, and so does the mean of a beat.
    (axis) => !along.includes(axis) && !(axis === 'backgroundCurrentA' && along.includes('wireFeedMPerMin')),
  );
  return JSON.stringify([
    filler,
    gas,
    diameterMm,
    mode,
    fixed.map((axis) => [axis, figureOn(program, axis).toFixed(3)]),
    pulse && [pulse.peakCurrentA.toFixed(2), pulse.peakTimeMs.toFixed(3)],
    slowBeat && [
      (slowBeat.highFeedMPerMin / slowBeat.meanFeedMPerMin).toFixed(4),
      slowBeat.highShare.toFixed(4),
      slowBeat.frequencyHz.toFixed(3),
    ],
  ]);
}

function mapOf(state: MapState): ZoneMap | null {
  return state.kind === 'drawing' || state.kind === 'done' ? state.map : null;
}

function shareOf(state: MapState): number {
  return state.kind === 'done' ? 1 : state.kind === 'drawing' ? Math.min(state.share, 0.99) : 0;
}

function besideChoices(program: Program): { value: Beside; label: string }[] {
  const family = commonGasCodes.filter((code) => code !== program.gas && code !== 'none');
  return [
    { value: 'none', label: 'nothing' },
    { value: 'hand-out', label: 'stick-out 6 mm longer' },
    ...family.map((code) => ({ value: `gas:${code}` as const, label: `in ${gasOf(code).name}` })),
  ];
}

function besideWords(beside: Beside): string {
  if (beside === 'hand-out') return 'stick-out 6 mm longer';
  return beside === 'none' ? '' : gasOf(beside.slice(4)).name;
}

function otherProgram(program: Program, beside: Beside): Program {
  if (beside === 'hand-out') return { ...program, ctwdMm: program.ctwdMm + 6 };
  return beside === 'none' ? program : { ...program, gas: beside.slice(4) };
}

function Margins({
  map,
  at,
  ranges,
  program,
  machine,
  setting,
  x,
  y,
  done,
}: {
  readonly map: ZoneMap;
  readonly at: { x: number; y: number };
  readonly ranges: { x: AxisRange; y: AxisRange };
  readonly program: Program;
  readonly machine: MachineResource | undefined;
  readonly setting: Setting;
  readonly x: MapAxis;
  readonly y: MapAxis;
  readonly done: boolean;
}) {
  const margins = marginsAt(map, at.x, at.y);
  const centre = done ? zoneCentre(map, goodZones(program.mode)) : undefined;
  return (
    <Box mt="2" fontSize="13.5px">
      <Box
        as="ul"
        listStyleType="none"
        display="grid"
        gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }}
        columnGap="4"
      >
        {margins.map(({ direction, by, waits }) => {
          const axis = direction.startsWith('x') ? x : y;
          const steps = dialSteps(machine, program, axis, by);
          return (
            <Box as="li" key={direction} py="0.5" borderTopWidth="1px" borderColor="line">
              <strong>
                {by.toFixed(axisWords[axis].digits === 0 ? 0 : 1)} {directionWords(direction, ranges.x, ranges.y)}
              </strong>
              {steps === null ? '' : `, ${steps.count} ${steps.count === 1 ? 'step' : 'steps'} of ${steps.label}`}:{' '}
              {waits ? zoneWords[waits].symptom : 'nothing yet at the end of the map'}
            </Box>
          );
        })}
      </Box>
      {centre && (
        <Box display="flex" gap="2" alignItems="center" flexWrap="wrap" mt="1">
          <Box>
            Middle of the good zone: {axisWords[x].name} {centre.x.toFixed(1)} {axisWords[x].unit}, {axisWords[y].name}{' '}
            {centre.y.toFixed(1)} {axisWords[y].unit}.
          </Box>
          <Action
            kind="quiet"
            fontSize="13px"
            onClick={() => setting.moveBoth({ [x]: Number(centre.x.toFixed(2)), [y]: Number(centre.y.toFixed(2)) })}
          >
            Go to the middle
          </Action>
        </Box>
      )}
    </Box>
  );
}

/** A distance in steps of the machine's dial for that quantity; null where it has none. */
function dialSteps(
  machine: MachineResource | undefined,
  program: Program,
  axis: MapAxis,
  by: number,
): { count: number; label: string } | null {
  const dial = machine?.file.dials.find(
    ({ scale, modes }) => isNumeric(scale) && quantityOf(scale) === axis && (!modes || modes.includes(program.mode)),
  );
  if (!dial || dial.scale.kind === 'stepped' || dial.scale.kind === 'named' || dial.scale.kind === 'chart-line')
    return null;
  const { scale } = dial;
  const perStep = scale.kind === 'linear' ? Math.abs(scale.quantityPerUnit) * scale.step : null;
  return perStep === null ? null : { count: Math.round(by / perStep), label: dial.label };
}

const Areas = memo(function Areas({
  map,
  other,
  otherName,
}: {
  readonly map: ZoneMap;
  readonly other: ZoneMap | null;
  readonly otherName: string;
}) {
  const [one, two] = [zoneAreas(map), other ? zoneAreas(other) : []];
  const names = [...new Set([...one, ...two].map((area) => area.zone))];
  const unit = areaUnit(map);
  const figure = (list: typeof one, zone: (typeof names)[number]) => {
    const found = list.find((area) => area.zone === zone);
    return found ? `${(100 * found.share).toFixed(0)} %, ${found.area.toFixed(1)} ${unit}` : '0 %';
  };
  return (
    <Table label="Share and area of each zone" mt="2">
      <Heads
        names={['Zone', 'Share and area', ...(other ? [`with ${otherName}`] : [])]}
        right={['Share and area', `with ${otherName}`]}
      />
      <tbody>
        {names.map((zone) => (
          <tr key={zone}>
            <Cell head>{zoneWords[zone].name}</Cell>
            <Cell figure>{figure(one, zone)}</Cell>
            {other && <Cell figure>{figure(two, zone)}</Cell>}
          </tr>
        ))}
      </tbody>
    </Table>
  );
});

/** One axis's unit times the other's; an axis without a unit counts steps of its own. */
function areaUnit({ x, y }: ZoneMap): string {
  return [axisWords[x.axis].unit, axisWords[y.axis].unit].filter((unit) => unit !== '').join('·');
}
