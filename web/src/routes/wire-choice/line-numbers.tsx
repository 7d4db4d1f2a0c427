/** The number of this wire and gas on each machine's own chart, with what it is easily taken for. */
import { t } from '../../lib/words.ts';
import type { MachineResource } from '@fox-tempo/contract';
import { chartLineFor, lookAlikes } from '@fox-tempo/core/machine/description';
import type { PlanInput } from '@fox-tempo/core/setting/plan';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';

export function LineNumbers({
  machines,
  request,
}: {
  readonly machines: readonly MachineResource[];
  readonly request: PlanInput;
}) {
  return (
    <Panel title={t('view.wire-choice.numbers')}>
      <Table label={t('view.wire-choice.chart-lines')}>
        <Heads
          names={[
            t('view.dial-card.machine'),
            t('view.seam-frame.line'),
            t('view.machines.chart.number'),
            t('view.machines.chart.confused-with'),
          ]}
          right={[t('view.machines.chart.number')]}
        />
        <tbody>
          {machines.map(({ id, file }) => {
            const line = chartLineFor(file.chartLines, request);
            const similar = line ? lookAlikes(file.chartLines, line) : [];
            return (
              <tr key={id}>
                <Cell head>{file.name}</Cell>
                <Cell>{line ? line.words : t('view.wire-choice.no-line')}</Cell>
                <Cell figure fontSize="title">
                  {line?.number ?? '–'}
                </Cell>
                <Cell color="ochre">{similar.map((one) => `${one.number} (${one.words})`).join('; ')}</Cell>
              </tr>
            );
          })}
        </tbody>
      </Table>
    </Panel>
  );
}
