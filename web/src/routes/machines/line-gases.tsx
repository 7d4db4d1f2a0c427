/** Other gases that the endpoint lists under one number, each with the arc it then burns. */
import { signed } from '@fox-tempo/core/base/messages';
import { t, format } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { MachineFile } from '@fox-tempo/contract';
import { commonGasCodes, gasOf } from '@fox-tempo/core/metal/consumables';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import type { MachineEditor } from './use-machine.ts';

type Line = MachineFile['chartLines'][number];
type AlsoGas = NonNullable<Line['alsoGases']>[number];

export function LineGases({ editor, line }: { readonly editor: MachineEditor; readonly line: Line }) {
  const { machine, task } = editor;
  const also = line.alsoGases ?? [];
  const free = commonGasCodes.filter(
    (code) => code !== 'none' && code !== line.gas && !also.some(({ gas }) => gas === code),
  );
  const keep = `line-gas/${machine.id}/${line.number}`;
  const [form, setForm, forget] = useKeptForm<{ gas: string; trimMm: number | null }>(keep, {
    gas: free[0] ?? '',
    trimMm: 0,
  });
  const save = (alsoGases: readonly AlsoGas[]) =>
    editor.saveFile((file) => ({
      ...file,
      chartLines: file.chartLines.map((one) =>
        one.number === line.number ? { ...one, alsoGases: [...alsoGases] } : one,
      ),
    }));
  return (
    <Box
      as="section"
      aria-label={t('view.machines.chart.other-gases', { number: line.number })}
      bg="page"
      p="3"
      borderRadius="4px"
      my="2"
    >
      <Box fontSize="small" color="quiet" mb="2">
        {t('view.machines.chart.other-gases-why', { number: line.number, gas: gasOf(line.gas).name })}
      </Box>
      {also.length > 0 && (
        <Table label={t('view.machines.gases-under-line', { number: line.number })} mb="2">
          <Heads
            names={[t('view.machines.gas'), t('view.machines.arc-at-neutral'), '']}
            right={[t('view.machines.arc-at-neutral')]}
          />
          <tbody>
            {also.map(({ gas, trimMm }) => (
              <tr key={gas}>
                <Cell middle>{format(gasOf(gas).name)}</Cell>
                <Cell middle figure>
                  {format(signed('shortLength', trimMm, 1))}
                </Cell>
                <Cell middle textAlign="end">
                  <Action
                    kind="quiet"
                    fontSize="small"
                    disabled={task.busy}
                    aria-label={t('view.machines.chart.remove-gas', { gas: gasOf(gas).name })}
                    onClick={() => void save(also.filter((one) => one.gas !== gas))}
                  >
                    {t('view.machines.remove')}
                  </Action>
                </Cell>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
      {free.length > 0 && (
        <Box display="grid" gridTemplateColumns={{ base: '1fr', md: '1fr 180px auto' }} gap="2.5" alignItems="start">
          <ChoiceField
            label={t('view.machines.one-more-gas')}
            value={form.gas}
            choices={free.map((code) => ({ value: code, label: gasOf(code).name }))}
            onChange={(gas) => setForm({ ...form, gas })}
          />
          <ValueField
            label={t('view.machines.chart.arc-longer')}
            of="shortLength"
            value={form.trimMm}
            keep={`${keep}/trim`}
            range={[-6, 6]}
            step={0.1}
            onValue={(trimMm) => setForm({ ...form, trimMm })}
          />
          <Action
            mt="18px"
            disabled={task.busy || form.trimMm === null || form.gas === ''}
            onClick={() => {
              const { gas, trimMm } = form;
              if (trimMm !== null)
                void save([...also, { gas, trimMm }]).then((done) => {
                  if (done) forget();
                });
            }}
          >
            {t('view.machines.add-the-gas')}
          </Action>
        </Box>
      )}
    </Box>
  );
}
