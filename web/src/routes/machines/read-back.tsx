/** What these dials mean: somebody stands before the machine, types what it shows, and gets the weld as physics. */
import { amount, bare, signed } from '@fox-tempo/core/base/messages';
import { t, format, formatIf, formatWithUnit } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { fillerOf, gasName, wireSizeLabel } from '@fox-tempo/core/metal/consumables';
import { arcOf, readDials } from '@fox-tempo/core/machine/dials';
import { type Dial, displayed, toldDials } from '@fox-tempo/core/machine/description';
import { type Program } from '@fox-tempo/core/setting/program';
import { modeName } from '@fox-tempo/core/setting/plan';
import { type UnitSystem } from '@fox-tempo/core/base/units';
import { useSettings } from '../../session/settings.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Table } from '../../ui/table.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import { IntoSeam } from './into-seam.tsx';
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
    return <Notice level="note">{t('view.machines.reading.dials-unknown')}</Notice>;
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
        title={t('view.machines.reading.title')}
        aside={
          <Action kind="quiet" fontSize="small" minHeight="32px" onClick={forget}>
            {t('view.machines.reading.back')}
          </Action>
        }
      >
        <Box display="grid" gap="2.5" gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(3, 1fr)' }}>
          {toldDials(file).map((dial) => (
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
      <Panel title={t('view.machines.reading.as-weld')}>
        {read.ok ? (
          <>
            <Table label={t('view.machines.reading.physics')}>
              <tbody>
                {linesOf(read.value.program, units).map(([name, text]) => (
                  <tr key={name}>
                    <Cell color="quiet">{name}</Cell>
                    <Cell head textAlign="end">
                      {text}
                    </Cell>
                  </tr>
                ))}
              </tbody>
            </Table>
            {read.value.assumed.length > 0 && (
              <Box textStyle="label" color="quiet" mt="2">
                {t('view.machines.reading.assumed', { assumed: read.value.assumed })}
              </Box>
            )}
            <IntoSeam program={read.value.program} />
            {read.value.warnings.map((warning) => (
              <Notice key={format(warning.code)} level="caution">
                {format(warning.message)}
              </Notice>
            ))}
          </>
        ) : (
          read.issues.map((issue) => (
            <Notice key={`${issue.path} ${issue.code}`} level="refusal" word={t('view.machines.cannot-be-read')}>
              {format(issue.message)} {format(formatIf(issue.hint) ?? '')}
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
    [t('view.machines.wire'), `${format(fillerOf(filler).name)}, ${format(wireSizeLabel(diameterMm))}`],
    [t('view.machines.gas'), format(gasName(gas))],
    [t('view.machines.way'), format(modeName(mode))],
    [t('view.simulator.wire-feed'), formatWithUnit(wireFeedMPerMin, 'wireFeed', units)],
    [
      t('view.simulator.arc-length'),
      t('view.machines.against-the-line', {
        arc: formatWithUnit(arcLengthMm, 'shortLength', units),
        trim: signed('shortLength', trimMm, 1),
      }),
    ],
    [t('view.machines.stiffness'), format(signed('plain', stiffness, 1))],
    ...(pulse
      ? ([
          [
            t('view.simulator.fast-pulse'),
            t('view.machines.pulse-numbers', {
              peakCurrent: amount('current', pulse.peakCurrentA, 0),
              peakTime: amount('pulseTime', pulse.peakTimeMs, 2),
              backgroundCurrent: amount('current', pulse.backgroundCurrentA, 0),
            }),
          ],
          [
            t('view.machines.fast-pulses'),
            t('view.machines.a-second', { frequency: amount('plain', pulse.frequencyHz, 0) }),
          ],
        ] as [string, string][])
      : []),
    ...(slowBeat
      ? ([
          [
            t('view.simulator.double-pulse'),
            t('view.machines.to-a-second', {
              lowFeed: bare('wireFeed', slowBeat.lowFeedMPerMin, 1),
              highFeed: amount('wireFeed', slowBeat.highFeedMPerMin, 1),
              frequency: amount('plain', slowBeat.frequencyHz, 1),
            }),
          ],
        ] as [string, string][])
      : []),
  ];
}
