/** Parts: what orders ask for and seams belong to. */
import { Box } from '@chakra-ui/react';
import type { Part } from '@fox-tempo/contract';
import { useState, type SubmitEvent } from 'react';
import { useRevalidator } from 'react-router';
import { api } from '../../lib/api.ts';
import { useMay } from '../../lib/session.ts';
import { useTask } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Refused } from '../../ui/refused.tsx';
import { Cell } from '../../ui/table.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { ChangeableTable } from './changeable-table.tsx';
import { MayNot } from './may-not.tsx';

export function Parts({ parts }: { readonly parts: readonly Part[] }) {
  const mayChange = useMay('savePart');
  const [wanted, setWanted] = useState('');
  const shown = parts.filter((part) =>
    `${part.name} ${part.about}`.toLowerCase().includes(wanted.trim().toLowerCase()),
  );
  return (
    <>
      <Panel title={`${parts.length} parts`} aside={mayChange ? undefined : <MayNot door="savePart" />}>
        <Box maxWidth="320px" mb="2">
          <TextField label="Search" value={wanted} onChange={setWanted} />
        </Box>
        {shown.length === 0 && (
          <Notice level="note">
            {parts.length === 0 ? 'No part yet. Add the first one below.' : 'No part of that name.'}
          </Notice>
        )}
        <ChangeableTable
          label="Parts"
          heads={['Part', 'What it is']}
          items={shown}
          mayChange={mayChange}
          actName={(part) => `Change ${part.name}`}
          cells={(part) => (
            <>
              <Cell middle head color={part.retired ? 'quiet' : 'ink'}>
                {part.name}
                {part.retired ? ' (retired)' : ''}
              </Cell>
              <Cell middle color="quiet">
                {part.about}
              </Cell>
            </>
          )}
          form={(part, onDone) => <ChangePart part={part} onDone={onDone} />}
        />
      </Panel>
      {mayChange && <AddPart />}
    </>
  );
}

function ChangePart({ part, onDone }: { readonly part: Part; readonly onDone: () => void }) {
  const [form, setForm] = useState({ name: part.name, about: part.about });
  const task = useTask();
  const { revalidate } = useRevalidator();
  const save = (retired: boolean) =>
    void task.run(async () => {
      await api.savePart(part.id, part.version, { ...form, retired });
      await revalidate();
      onDone();
    });
  return (
    <Box>
      <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', md: '1fr 1.6fr auto auto' }} alignItems="end">
        <TextField label={`Name of ${part.name}`} value={form.name} onChange={(name) => setForm({ ...form, name })} />
        <TextField
          label="What it is"
          value={form.about}
          maxLength={300}
          onChange={(about) => setForm({ ...form, about })}
        />
        <Action kind="main" disabled={task.busy} onClick={() => save(part.retired)}>
          Save
        </Action>
        <Action disabled={task.busy} onClick={() => save(!part.retired)}>
          {part.retired ? 'Make it again' : 'Retire'}
        </Action>
      </Box>
      <Refused task={task} word="Not saved." />
    </Box>
  );
}

function AddPart() {
  const [form, setForm, forget] = useKeptForm('part/new', { name: '', about: '' });
  const task = useTask();
  const { revalidate } = useRevalidator();
  return (
    <Panel title="A new part">
      <form
        onSubmit={(event: SubmitEvent) => {
          event.preventDefault();
          void task.run(async () => {
            await api.addPart(form);
            forget();
            await revalidate();
          });
        }}
      >
        <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', md: '1fr 1.6fr auto' }} alignItems="end">
          <TextField label="Name" value={form.name} onChange={(name) => setForm({ ...form, name })} />
          <TextField
            label="What it is"
            value={form.about}
            maxLength={300}
            onChange={(about) => setForm({ ...form, about })}
          />
          <Action kind="main" type="submit" disabled={task.busy || form.name.trim() === ''}>
            Add the part
          </Action>
        </Box>
        <Refused task={task} word="Not added." />
      </form>
    </Panel>
  );
}
