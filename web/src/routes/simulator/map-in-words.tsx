/** The map in words: how far to each edge in dial steps and what waits there, how large each zone is, and the same map with something else. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, format, fixed, unitShown } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { commonGasCodes, gasName } from '@fox-tempo/core/metal/consumables';
import { isNumeric, quantityOf } from '@fox-tempo/core/machine/description';
import { type Program } from '@fox-tempo/core/setting/program';
import {
  goodZones,
  marginsAt,
  zoneAreas,
  zoneCentre,
  zoneWords,
  type AxisRange,
  type MapAxis,
  type ZoneMap,
} from '@fox-tempo/core/weld/zone-map';
import { memo, useMemo, useState } from 'react';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { axisFigure, axisWords, directionWords } from './map-words.ts';
import { useMap } from './use-map.ts';
import type { Setting } from './use-setting.ts';
import { mapOf, shareOf, type ZoneMapState } from './use-zone-map.ts';
import { ZoneMapView } from './zone-map.tsx';

export interface MapInWordsProps {
  readonly setting: Setting;
  readonly program: Program;
  readonly machine: MachineResource | undefined;
  readonly zoneMap: ZoneMapState;
}

/** What the second map may have otherwise. */
type Beside = 'none' | 'hand-out' | `gas:${string}`;

export function MapInWords({ setting, program, machine, zoneMap }: MapInWordsProps) {
  const { x, y, ranges, at, state, map, question } = zoneMap;
  const [beside, setBeside] = useState<Beside>('none');
  const other = useMemo(
    () => (beside === 'none' ? null : { ...question, program: otherProgram(question.program, beside) }),
    [question, beside],
  );
  const second = useMap(other, 0);
  const otherName = besideWords(beside);
  return (
    <Box
      display="grid"
      gap="4"
      gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) minmax(0, 1fr)' }}
      alignItems="start"
    >
      <Box minWidth={0}>
        {map ? (
          <>
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
            {state.kind === 'done' && (
              <Areas map={map} other={second.kind === 'done' ? second.map : null} otherName={otherName} />
            )}
          </>
        ) : (
          <Box color="quiet" fontSize="small">
            {t('view.simulator.map.not-drawn')}
          </Box>
        )}
      </Box>
      <Box minWidth={0}>
        <ChoiceField
          label={t('view.simulator.map.second')}
          value={beside}
          choices={besideChoices(program)}
          onChange={setBeside}
        />
        {beside !== 'none' && (
          <Box mt="2">
            <ZoneMapView
              map={mapOf(second)}
              {...ranges}
              at={at}
              program={program}
              ghost={null}
              beat={null}
              share={shareOf(second)}
              title={t('view.simulator.map.same-with', { otherName })}
              onMove={null}
            />
          </Box>
        )}
      </Box>
    </Box>
  );
}

function besideChoices(program: Program): { value: Beside; label: string }[] {
  const family = commonGasCodes.filter((code) => code !== program.gas && code !== 'none');
  return [
    { value: 'none', label: t('view.simulator.nothing') },
    { value: 'hand-out', label: t('view.simulator.stick-out-longer', { longer: amount('shortLength', 6) }) },
    ...family.map((code) => ({
      value: `gas:${code}` as const,
      label: t('view.simulator.in', { gasName: gasName(code) }),
    })),
  ];
}

function besideWords(beside: Beside): string {
  if (beside === 'hand-out') return t('view.simulator.stick-out-longer', { longer: amount('shortLength', 6) });
  return beside === 'none' ? '' : format(gasName(beside.slice(4)));
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
    <Box mt="2" fontSize="small">
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
              <strong>{directionWords(direction, ranges.x, ranges.y, by)}</strong>
              {steps !== null && ` (${t('view.simulator.of', { count: steps.count, steps: steps.label })})`}:{' '}
              {waits ? format(zoneWords[waits].symptom) : t('view.simulator.map.nothing-yet')}
            </Box>
          );
        })}
      </Box>
      {centre && (
        <Box display="flex" gap="2" alignItems="center" flexWrap="wrap" mt="1">
          <Box>
            {t('view.simulator.map.middle', {
              axisWordsx: axisWords[x].name,
              x: axisFigure(x, centre.x),
              axisWordsy: axisWords[y].name,
              y: axisFigure(y, centre.y),
            })}
          </Box>
          <Action
            kind="quiet"
            fontSize="small"
            onClick={() => setting.moveBoth({ [x]: Number(centre.x.toFixed(2)), [y]: Number(centre.y.toFixed(2)) })}
          >
            {t('view.simulator.map.go-to-middle')}
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
  const { unit, perUnit } = areaUnit(map);
  const figure = (list: typeof one, zone: (typeof names)[number]) => {
    const found = list.find((area) => area.zone === zone);
    return found ? `${fixed(100 * found.share, 0)} %, ${fixed(found.area / perUnit, 1)} ${unit}` : '0 %';
  };
  return (
    <Table label={t('view.simulator.map.zones')} mt="2">
      <Heads
        names={[
          t('view.simulator.zone'),
          t('view.simulator.share-and-area'),
          ...(other ? [t('view.simulator.with', { otherName })] : []),
        ]}
        right={[t('view.simulator.share-and-area'), t('view.simulator.with', { otherName })]}
      />
      <tbody>
        {names.map((zone) => (
          <tr key={zone}>
            <Cell head>{format(zoneWords[zone].name)}</Cell>
            <Cell figure>{figure(one, zone)}</Cell>
            {other && <Cell figure>{figure(two, zone)}</Cell>}
          </tr>
        ))}
      </tbody>
    </Table>
  );
});

/** One axis's unit times the other's; an axis without a unit counts steps of its own. */
function areaUnit({ x, y }: ZoneMap): { readonly unit: string; readonly perUnit: number } {
  const units = [x.axis, y.axis].map((axis) => unitShown(axisWords[axis].kind));
  return {
    unit: units
      .map(({ label }) => label)
      .filter((label) => label !== '')
      .join('·'),
    perUnit: units.reduce((product, { factor }) => product * factor, 1),
  };
}
