/** Other gases that the door lists under one number, each with the arc it then burns. */
import { Box } from '@chakra-ui/react';
import type { MachineFile } from '@fox-tempo/contract';
import { commonGasCodes, gasOf } from '@fox-tempo/core/consumables';
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
    <Box as="section" aria-label={`Other gases under line ${line.number}`} bg="page" p="3" borderRadius="4px" my="2">
      <Box fontSize="13px" color="quiet" mb="2">
        {line.number} is for {gasOf(line.gas).name}. Does the door list other gases under it? The arc then burns longer
        or shorter at the dial’s neutral; the card makes up for that.
      </Box>
      {also.length > 0 && (
        <Table label={`Gases under line ${line.number}`} mb="2">
          <Heads names={['Gas', 'Arc at neutral', '']} right={['Arc at neutral']} />
          <tbody>
            {also.map(({ gas, trimMm }) => (
              <tr key={gas}>
                <Cell middle>{gasOf(gas).name}</Cell>
                <Cell middle figure>
                  {trimMm > 0 ? '+' : trimMm < 0 ? '−' : ''}
                  {Math.abs(trimMm).toFixed(1)} mm
                </Cell>
                <Cell middle textAlign="right">
                  <Action
                    kind="quiet"
                    fontSize="13px"
                    disabled={task.busy}
                    aria-label={`Take ${gasOf(gas).name} off`}
                    onClick={() => void save(also.filter((one) => one.gas !== gas))}
                  >
                    Take off
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
            label="One more gas"
            value={form.gas}
            choices={free.map((code) => ({ value: code, label: gasOf(code).name }))}
            onChange={(gas) => setForm({ ...form, gas })}
          />
          <ValueField
            label="Arc at neutral, longer by"
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
            Add the gas
          </Action>
        </Box>
      )}
    </Box>
  );
}
