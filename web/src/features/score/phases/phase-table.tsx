/** What each phase takes and lays, with its name on the chosen machine, and what the whole takes. */
import { Box } from '@chakra-ui/react';
import type { ScoreOf, SequenceOnMachine } from '@fox-tempo/core/score';
import { phaseNames, type Phase } from '@fox-tempo/core/sequence';
import { formatQuantity } from '@fox-tempo/core/units';
import { useSettings } from '../../../lib/settings.ts';
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
  const names = ['phase', 'seconds', lengthUnit, 'wire g', 'gas L', 'kJ', ...(machine ? [`on ${machine}`] : [])];
  return (
    <Panel px="4" py="2">
      <Table label="Phases with time, seam, wire, gas and energy">
        <Heads names={names} right={['seconds', lengthUnit, 'wire g', 'gas L', 'kJ']} />
        <tbody>
          {totals.phases.map(({ phase, seconds, mm, wireG, gasL, energyKj, count }, at) => (
            <tr key={`${phase}${at}`}>
              <Cell head py="1" color={phase === selected ? 'accent' : undefined}>
                <Box
                  as="button"
                  onClick={() => onSelect(phase)}
                  minHeight="28px"
                  textAlign="left"
                  cursor="pointer"
                  _hover={{ textDecoration: 'underline' }}
                >
                  {phaseNames[phase]}
                  {whole.program.slowBeat && (phase === 'main' || phase === 'second') ? ' with slow beat' : ''}
                  {count > 1 ? ` × ${count}` : ''}
                </Box>
              </Cell>
              <Cell figure py="1">
                {seconds.toFixed(seconds < 10 ? 2 : 1)}
              </Cell>
              <Cell figure py="1">
                {mm > 0 ? length(mm).text : ''}
              </Cell>
              <Cell figure py="1">
                {wireG > 0.005 ? wireG.toFixed(2) : ''}
              </Cell>
              <Cell figure py="1">
                {gasL > 0.005 ? gasL.toFixed(2) : ''}
              </Cell>
              <Cell figure py="1">
                {energyKj > 0.005 ? energyKj.toFixed(1) : ''}
              </Cell>
              {machine && (
                <Cell py="1" color="quiet" fontSize="12.5px">
                  {there ? wordFor(phase, there) : ''}
                </Cell>
              )}
            </tr>
          ))}
          <tr>
            <Cell head py="1" borderBottomWidth="0">
              in all
            </Cell>
            <Cell figure py="1" borderBottomWidth="0">
              {totals.seconds.toFixed(1)}
            </Cell>
            <Cell figure py="1" borderBottomWidth="0">
              {length(totals.mm).text}
            </Cell>
            <Cell figure py="1" borderBottomWidth="0">
              {totals.wireG.toFixed(1)}
            </Cell>
            <Cell figure py="1" borderBottomWidth="0">
              {totals.gasL.toFixed(1)}
            </Cell>
            <Cell figure py="1" borderBottomWidth="0">
              {totals.energyKj.toFixed(1)}
            </Cell>
            {machine && <Cell py="1" borderBottomWidth="0" />}
          </tr>
        </tbody>
      </Table>
      <Box textStyle="label" color="quiet" mt="1">
        Arc {totals.arcS.toFixed(1)} s. Start, slopes, second level and crater lay {totals.addedWireG >= 0 ? '' : '−'}
        {Math.abs(totals.addedWireG).toFixed(2)} g {totals.addedWireG >= 0 ? 'more' : ''} against main over the same
        length. Energy at the contact tip, from the model: ±10 %.
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
  return found.map(({ label, said, how }) => (how === 'dial' ? `${label ?? ''} ${said}` : said)).join('; ');
}
