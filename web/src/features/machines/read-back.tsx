/** What these dials mean: somebody stands before the machine, types what it shows, and gets the weld as physics. */
import { Box } from '@chakra-ui/react';
import { fillerOf, gasName, wireSizeLabel } from '@fox-tempo/core/consumables';
import { arcOf, type Dial, displayed, type Program, readDials } from '@fox-tempo/core/machine';
import { modeName } from '@fox-tempo/core/plan';
import { formatWithUnit, type UnitSystem } from '@fox-tempo/core/units';
import { useSettings } from '../../lib/settings.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Table } from '../../ui/table.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import type { MachineEditor } from './use-machine.ts';

type Values = Readonly<Record<string, number>>;

export function ReadBack({ editor: { machine } }: { readonly editor: MachineEditor }) {
  const { file, standing } = machine;
  const units = useSettings((state) => state.units);
  const keep = `read/${machine.id}/${machine.version}`;
  const [{ values }, setForm, forget] = useKeptForm<{ values: Values }>(keep, { values: standing?.dials ?? {} });
  const set = (id: string, value: number | null) => {
    const { [id]: _old, ...rest } = values;
    setForm({ values: value === null ? rest : { ...rest, [id]: value } });
  };
  if (file.dials.length === 0) {
    return <Notice level="note">Its dials are not described yet; describe them first, then they can be read.</Notice>;
  }
  const feeder = standing?.feeders[standing.feederId];
  const read = readDials(file, values, feeder ? { loaded: feeder } : {});
  return (
    <Box
      display="grid"
      gap="3"
      gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1.3fr) minmax(0, 1fr)' }}
      alignItems="start"
    >
      <Panel
        title="As the dials stand"
        aside={
          <Action kind="quiet" fontSize="13px" minHeight="32px" onClick={forget}>
            Back to what was entered
          </Action>
        }
      >
        <Box display="grid" gap="2.5" gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(3, 1fr)' }}>
          {file.dials.map((dial) => (
            <DialField
              key={dial.id}
              dial={dial}
              value={values[dial.id] ?? null}
              keep={`${keep}/${dial.id}`}
              onValue={(value) => set(dial.id, value)}
            />
          ))}
        </Box>
      </Panel>
      <Panel title="That is this weld">
        {read.ok ? (
          <>
            <Table label="The weld as physics">
              <tbody>
                {linesOf(read.value.program, units).map(([name, text]) => (
                  <tr key={name}>
                    <Cell color="quiet">{name}</Cell>
                    <Cell head textAlign="right">
                      {text}
                    </Cell>
                  </tr>
                ))}
              </tbody>
            </Table>
            {read.value.assumed.length > 0 && (
              <Box textStyle="label" color="quiet" mt="2">
                No dial says, so taken from practice: {read.value.assumed.join(', ')}.
              </Box>
            )}
            {read.value.warnings.map((warning) => (
              <Notice key={warning.code} level="caution">
                {warning.message}
              </Notice>
            ))}
          </>
        ) : (
          read.issues.map((issue) => (
            <Notice key={`${issue.path} ${issue.code}`} level="refusal" word="Cannot be read.">
              {issue.message} {issue.hint ?? ''}
            </Notice>
          ))
        )}
      </Panel>
    </Box>
  );
}

function DialField({
  dial,
  value,
  keep,
  onValue,
}: {
  readonly dial: Dial;
  readonly value: number | null;
  readonly keep: string;
  readonly onValue: (value: number | null) => void;
}) {
  const { scale } = dial;
  if (scale.kind === 'stepped' || scale.kind === 'named') {
    return (
      <ChoiceField
        label={dial.label}
        value={value === null ? '' : String(value)}
        choices={[
          { value: '', label: '–' },
          ...scale.positions.map((_, at) => ({ value: String(at), label: displayed(scale, at) })),
        ]}
        onChange={(text) => onValue(text === '' ? null : Number(text))}
        hint={dial.where}
      />
    );
  }
  const range: [number, number] = scale.kind === 'chart-line' ? [0, 9999] : [scale.min, scale.max];
  return (
    <ValueField
      label={dial.unit === '' ? dial.label : `${dial.label}, ${dial.unit}`}
      of="plain"
      value={value}
      keep={keep}
      range={range}
      step={scale.kind === 'chart-line' ? 1 : scale.step}
      optional
      onValue={onValue}
      hint={dial.where}
    />
  );
}

function linesOf(program: Program, units: UnitSystem): [string, string][] {
  const { filler, diameterMm, gas, mode, wireFeedMPerMin, trimMm, stiffness, pulse, slowBeat, ctwdMm } = program;
  const arcLengthMm = arcOf(program, ctwdMm, trimMm).lineMm + trimMm;
  return [
    ['Wire', `${fillerOf(filler).name}, ${wireSizeLabel(diameterMm)}`],
    ['Gas', gasName(gas)],
    ['Way', modeName(mode)],
    ['Wire feed', formatWithUnit(wireFeedMPerMin, 'wireFeed', units)],
    [
      'Arc length',
      `${formatWithUnit(arcLengthMm, 'shortLength', units)} (${trimMm >= 0 ? '+' : '−'}${Math.abs(trimMm).toFixed(1)} mm against the line)`,
    ],
    ['Stiffness', `${stiffness > 0 ? '+' : stiffness < 0 ? '−' : ''}${Math.abs(stiffness).toFixed(1)}`],
    ...(pulse
      ? ([
          [
            'Fast pulse',
            `${pulse.peakCurrentA.toFixed(0)} A for ${pulse.peakTimeMs.toFixed(2)} ms, ${pulse.backgroundCurrentA.toFixed(0)} A between`,
          ],
          ['Fast pulses', `${pulse.frequencyHz.toFixed(0)} a second`],
        ] as [string, string][])
      : []),
    ...(slowBeat
      ? ([
          [
            'Slow beat',
            `${slowBeat.lowFeedMPerMin.toFixed(1)} to ${slowBeat.highFeedMPerMin.toFixed(1)} m/min, ${slowBeat.frequencyHz.toFixed(1)} a second`,
          ],
        ] as [string, string][])
      : []),
  ];
}
