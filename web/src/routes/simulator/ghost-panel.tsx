/** A and B: the held setting against the present one, in numbers and in the dial lines that differ. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { cardOf } from '@fox-tempo/core/machine/dials';
import { type Program } from '@fox-tempo/core/setting/program';
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
      <Panel title={t('view.simulator.hold-and-compare')} aria-label={t('view.simulator.hold-and-compare')}>
        <Box fontSize="text" mb="2">
          {t('view.simulator.hold-why')}
        </Box>
        <Action onClick={onHold}>{t('view.simulator.hold')}</Action>
      </Panel>
    );
  }
  const held = machine ? cardOf(machine.file, ghost).dials : [];
  const now = machine ? cardOf(machine.file, program).dials : [];
  const differing = now.flatMap((dial) => {
    const other = held.find((one) => one.dialId === dial.dialId);
    return other && other.display !== dial.display ? [{ dial, other }] : [];
  });
  return (
    <Panel title={t('view.simulator.held-and-now')} aria-label={t('view.simulator.hold-and-compare')}>
      {differing.length === 0 ? (
        <Box fontSize="text" color="quiet">
          {machine ? t('view.simulator.no-difference') : t('view.simulator.no-machine')}
        </Box>
      ) : (
        <Table label={t('view.simulator.different-lines')}>
          <Heads
            names={[t('view.simulator.dial'), t('view.simulator.column.held'), t('view.simulator.now')]}
            right={[t('view.simulator.column.held'), t('view.simulator.now')]}
          />
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
        <Action onClick={onSwap}>{t('view.simulator.swap-the-two')}</Action>
        <Action kind="quiet" onClick={onHold}>
          {t('view.simulator.hold-present')}
        </Action>
        <Action kind="quiet" onClick={onDrop}>
          {t('view.simulator.let-go')}
        </Action>
      </Box>
    </Panel>
  );
}
