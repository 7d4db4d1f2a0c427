/** A and B: the held setting against the present one, in numbers and in the dial lines that differ. */
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { translate, type Program } from '@fox-tempo/core/machine';
import { Action } from '../../ui/action.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';

export function GhostPanel({
  program,
  ghost,
  machine,
  onHold,
  onSwap,
  onDrop,
}: {
  readonly program: Program;
  readonly ghost: Program | null;
  readonly machine: MachineResource | undefined;
  readonly onHold: () => void;
  readonly onSwap: () => void;
  readonly onDrop: () => void;
}) {
  if (!ghost) {
    return (
      <Panel title="Hold and compare" aria-label="Hold and compare">
        <Box fontSize="14px" mb="2">
          Hold the present setting, move the other: both stay on chart and map, in numbers, and to the ear.
        </Box>
        <Action onClick={onHold}>Hold this one</Action>
      </Panel>
    );
  }
  const held = machine ? translate(machine.file, ghost).dials : [];
  const now = machine ? translate(machine.file, program).dials : [];
  const differing = now.flatMap((dial) => {
    const other = held.find((one) => one.dialId === dial.dialId);
    return other && other.display !== dial.display ? [{ dial, other }] : [];
  });
  return (
    <Panel title="Held against now" aria-label="Hold and compare">
      {differing.length === 0 ? (
        <Box fontSize="14px" color="quiet">
          {machine ? 'No dial differs yet.' : 'No machine is chosen.'}
        </Box>
      ) : (
        <Table label="Dial lines that differ">
          <Heads names={['Dial', 'Held', 'Now']} right={['Held', 'Now']} />
          <tbody>
            {differing.map(({ dial, other }) => (
              <tr key={dial.dialId}>
                <Cell head>{dial.label}</Cell>
                <Cell figure>
                  {other.display} {dial.unit}
                </Cell>
                <Cell figure>
                  {dial.display} {dial.unit}
                </Cell>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
      <Box display="flex" gap="2" mt="2" flexWrap="wrap">
        <Action onClick={onSwap}>Swap the two</Action>
        <Action kind="quiet" onClick={onHold}>
          Hold the present one instead
        </Action>
        <Action kind="quiet" onClick={onDrop}>
          Let go
        </Action>
      </Box>
    </Panel>
  );
}
