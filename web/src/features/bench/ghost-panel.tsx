/** A and B: the held setting against the present one, in numbers and in the dial lines that differ. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { cardOf, type Program } from '@fox-tempo/core/machine';
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
      <Panel title={t('view.bench.hold-and-compare')} aria-label={t('view.bench.hold-and-compare')}>
        <Box fontSize="14px" mb="2">
          {t('view.bench.hold-the-present-setting-move')}
        </Box>
        <Action onClick={onHold}>{t('view.bench.hold-this-one')}</Action>
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
    <Panel title={t('view.bench.held-against-now')} aria-label={t('view.bench.hold-and-compare')}>
      {differing.length === 0 ? (
        <Box fontSize="14px" color="quiet">
          {machine ? t('view.bench.no-dial-differs-yet') : t('view.bench.no-machine-is-chosen')}
        </Box>
      ) : (
        <Table label={t('view.bench.dial-lines-that-differ')}>
          <Heads
            names={[t('view.bench.dial'), t('view.bench.held-2'), t('view.bench.now')]}
            right={[t('view.bench.held-2'), t('view.bench.now')]}
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
        <Action onClick={onSwap}>{t('view.bench.swap-the-two')}</Action>
        <Action kind="quiet" onClick={onHold}>
          {t('view.bench.hold-the-present-one-instead')}
        </Action>
        <Action kind="quiet" onClick={onDrop}>
          {t('view.bench.let-go')}
        </Action>
      </Box>
    </Panel>
  );
}
