/** What each phase takes and lays, with its name on the chosen machine, and what the whole takes. */
import { amount, signed } from '@fox-tempo/core/base/messages';
import { t, format, formatQuantity, fixed, unitShown } from '../../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { ScoreOf, SequenceOnMachine } from '@fox-tempo/core/weld/score';
import { phaseNames, type Phase } from '@fox-tempo/core/weld/sequence';
import { useSettings } from '../../../session/settings.ts';
import { Panel } from '../../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../../ui/table.tsx';

export function PhaseTable({
  whole,
  there,
  machine,
  selected,
  onSelect,
}: {
  readonly whole: ScoreOf;
  readonly there: SequenceOnMachine | null;
  readonly machine: string | null;
  readonly selected: Phase;
  readonly onSelect: (phase: Phase) => void;
}) {
  const units = useSettings((state) => state.units);
  const { totals } = whole;
  const length = (mm: number) => formatQuantity(mm, 'length', units);
  const lengthUnit = length(1).unit;
  const figures = [
    t('view.sequence.seconds'),
    lengthUnit,
    t('view.sequence.wire-unit', { unit: unitShown('mass').label }),
    t('view.sequence.gas-unit', { unit: unitShown('volume').label }),
    'kJ',
  ];
  const names = [
    t('view.sequence.phase'),
    ...figures,
    ...(machine ? [t('view.sequence.on-machine', { machine })] : []),
  ];
  return (
    <Panel px="4" py="2">
      <Table label={t('view.sequence.phases-table')}>
        <Heads names={names} right={figures} />
        <tbody>
          {totals.phases.map(({ phase, seconds, mm, wireG, gasL, energyKj, count }, at) => (
            <tr key={`${phase}${at}`}>
              <Cell head py="1" color={phase === selected ? 'accent' : undefined}>
                <Box
                  as="button"
                  onClick={() => onSelect(phase)}
                  minHeight="28px"
                  textAlign="start"
                  cursor="pointer"
                  _hover={{ textDecoration: 'underline' }}
                >
                  {whole.program.slowBeat && (phase === 'main' || phase === 'second')
                    ? t('view.sequence.phase-double-pulse', { phase: phaseNames[phase] })
                    : format(phaseNames[phase])}
                  {count > 1 ? ` × ${count}` : ''}
                </Box>
              </Cell>
              <Cell figure py="1">
                {fixed(seconds, seconds < 10 ? 2 : 1)}
              </Cell>
              <Cell figure py="1">
                {mm > 0 ? length(mm).text : ''}
              </Cell>
              <Cell figure py="1">
                {wireG > 0.005 ? formatQuantity(wireG, 'mass', units, 2).text : ''}
              </Cell>
              <Cell figure py="1">
                {gasL > 0.005 ? formatQuantity(gasL, 'volume', units, 2).text : ''}
              </Cell>
              <Cell figure py="1">
                {energyKj > 0.005 ? fixed(energyKj, 1) : ''}
              </Cell>
              {machine && (
                <Cell py="1" color="quiet" fontSize="label">
                  {there ? wordFor(phase, there) : ''}
                </Cell>
              )}
            </tr>
          ))}
          <tr>
            <Cell head py="1" borderBottomWidth="0">
              {t('view.sequence.total')}
            </Cell>
            <Cell figure py="1" borderBottomWidth="0">
              {fixed(totals.seconds, 1)}
            </Cell>
            <Cell figure py="1" borderBottomWidth="0">
              {length(totals.mm).text}
            </Cell>
            <Cell figure py="1" borderBottomWidth="0">
              {formatQuantity(totals.wireG, 'mass', units, 1).text}
            </Cell>
            <Cell figure py="1" borderBottomWidth="0">
              {formatQuantity(totals.gasL, 'volume', units, 1).text}
            </Cell>
            <Cell figure py="1" borderBottomWidth="0">
              {fixed(totals.energyKj, 1)}
            </Cell>
            {machine && <Cell py="1" borderBottomWidth="0" />}
          </tr>
        </tbody>
      </Table>
      <Box textStyle="label" color="quiet" mt="1">
        {t('view.sequence.total-why', {
          arc: amount('phaseTime', totals.arcS, 1),
          added: signed('mass', totals.addedWireG, 2),
        })}
      </Box>
    </Panel>
  );
}

/** How the machine calls what makes this phase. */
function wordFor(phase: Phase, { parts }: SequenceOnMachine): string {
  const wanted: Partial<Record<Phase, readonly string[]>> = {
    'pre-gas': ['gas before'],
    'run-in': ['run-in'],
    start: ['start level', 'start time'],
    'slope-in': ['slope to main'],
    second: ['second level'],
    'slope-out': ['slope to end'],
    end: ['end level', 'end time'],
    'burn-back': ['burn-back'],
    'post-gas': ['gas after'],
  };
  const found = parts.filter(({ part }) => wanted[phase]?.includes(part));
  if (phase === 'main') return 'main';
  return found
    .map(({ label, said, how }) => (how === 'dial' ? `${label ?? ''} ${format(said)}` : said))
    .map(format)
    .join('; ');
}
