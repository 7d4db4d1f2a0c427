/** Who works here: names, roles, PINs. Nobody is deleted; who left is retired and stays under what was signed. */
import { Box } from '@chakra-ui/react';
import { roleNames, roles, type Person, type Role } from '@fox-tempo/contract';
import { useState, type SubmitEvent } from 'react';
import { useRevalidator } from 'react-router';
import { api } from '../../lib/api.ts';
import { useMay, useMe } from '../../lib/session.ts';
import { useTask } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Panel } from '../../ui/panel.tsx';
import { Refused } from '../../ui/refused.tsx';
import { Cell } from '../../ui/table.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { ChangeableTable } from './changeable-table.tsx';
import { MayNot } from './may-not.tsx';

const roleChoices = roles.map((role) => ({ value: role, label: roleNames[role] }));
const pinOnly = (text: string) => text.replace(/\D/g, '').slice(0, 8);

export function People({ people }: { readonly people: readonly Person[] }) {
  const mayChange = useMay('savePerson');
  const here = people.filter((person) => !person.retired);
  const gone = people.filter((person) => person.retired);
  return (
    <>
      <Panel title="People" aside={mayChange ? undefined : <MayNot door="savePerson" />}>
        <ChangeableTable
          label="People of the shop"
          heads={['Name', 'Role', 'PIN']}
          items={[...here, ...gone]}
          mayChange={mayChange}
          actName={(person) => `Change ${person.name}`}
          cells={(person) => (
            <>
              <Cell middle head color={person.retired ? 'quiet' : 'ink'}>
                {person.name}
                {person.retired ? ' (left)' : ''}
              </Cell>
              <Cell middle>{roleNames[person.role]}</Cell>
              <Cell middle color={person.hasPin ? 'quiet' : 'ochre'}>
                {person.hasPin ? 'set' : '◇ none: cannot sign in'}
              </Cell>
            </>
          )}
          form={(person, onDone) => <ChangePerson person={person} onDone={onDone} />}
        />
      </Panel>
      {mayChange && <AddPerson />}
      <OwnPin />
    </>
  );
}

function ChangePerson({ person, onDone }: { readonly person: Person; readonly onDone: () => void }) {
  const [form, setForm] = useState({ name: person.name, role: person.role, pin: '' });
  const task = useTask();
  const { revalidate } = useRevalidator();
  const save = (retired: boolean) =>
    void task.run(async () => {
      await api.savePerson(person.id, person.version, { name: form.name, role: form.role, retired });
      await revalidate();
      onDone();
    });
  return (
    <Box>
      <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', md: '1.4fr 1fr auto auto' }} alignItems="end">
        <TextField label={`Name of ${person.name}`} value={form.name} onChange={(name) => setForm({ ...form, name })} />
        <ChoiceField<Role>
          label="Role"
          value={form.role}
          choices={roleChoices}
          onChange={(role) => setForm({ ...form, role })}
        />
        <Action kind="main" disabled={task.busy} onClick={() => save(person.retired)}>
          Save
        </Action>
        <Action disabled={task.busy} onClick={() => save(!person.retired)}>
          {person.retired ? 'Is back' : 'Has left'}
        </Action>
      </Box>
      <Box display="flex" gap="3" mt="3" alignItems="end" flexWrap="wrap">
        <Box width="240px">
          <TextField
            label={`New PIN for ${person.name}`}
            value={form.pin}
            onChange={(pin) => setForm({ ...form, pin: pinOnly(pin) })}
          />
        </Box>
        <Action
          disabled={task.busy || form.pin.length < 4}
          onClick={() =>
            void task.run(async () => {
              await api.resetPin(person.id, person.version, form.pin);
              await revalidate();
              onDone();
            })
          }
        >
          Set the PIN
        </Action>
        <Box color="quiet" fontSize="13px" pb="3">
          A new PIN or role signs {person.name} out everywhere.
        </Box>
      </Box>
      <Refused task={task} word="Not changed." />
    </Box>
  );
}

function AddPerson() {
  const blank = { name: '', role: 'welder' as Role };
  const [form, setForm, forget] = useKeptForm('person/new', blank);
  // A PIN is never kept on the device.
  const [pin, setPin] = useState('');
  const task = useTask();
  const { revalidate } = useRevalidator();
  return (
    <Panel title="Somebody new">
      <form
        onSubmit={(event: SubmitEvent) => {
          event.preventDefault();
          void task.run(async () => {
            await api.addPerson({ ...form, pin });
            forget();
            setPin('');
            await revalidate();
          });
        }}
      >
        <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', md: '1.4fr 1fr 1fr auto' }} alignItems="end">
          <TextField label="Name" value={form.name} onChange={(name) => setForm({ ...form, name })} />
          <ChoiceField<Role>
            label="Role"
            value={form.role}
            choices={roleChoices}
            onChange={(role) => setForm({ ...form, role })}
          />
          <TextField label="PIN, four to eight digits" value={pin} onChange={(text) => setPin(pinOnly(text))} />
          <Action kind="main" type="submit" disabled={task.busy || form.name.trim() === '' || pin.length < 4}>
            Add
          </Action>
        </Box>
        <Refused task={task} word="Not added." />
      </form>
    </Panel>
  );
}

function OwnPin() {
  const me = useMe();
  const [pins, setPins] = useState({ old: '', next: '' });
  const [done, setDone] = useState(false);
  const task = useTask();
  return (
    <Panel title="Your own PIN">
      <Box display="flex" gap="3" flexWrap="wrap" alignItems="end">
        <Box width="200px">
          <TextField
            secret
            label="PIN now"
            value={pins.old}
            onChange={(text) => setPins({ ...pins, old: pinOnly(text) })}
          />
        </Box>
        <Box width="200px">
          <TextField
            secret
            label="New PIN"
            value={pins.next}
            onChange={(text) => setPins({ ...pins, next: pinOnly(text) })}
          />
        </Box>
        <Action
          disabled={task.busy || pins.old.length < 4 || pins.next.length < 4}
          onClick={() =>
            void task
              .run(() => api.changePin(pins.old, pins.next))
              .then((ok) => {
                setDone(ok);
                if (ok) setPins({ old: '', next: '' });
              })
          }
        >
          Change it
        </Action>
        <Box role="status" color="spruce" fontSize="13px" pb="3">
          {done ? `● ${me?.name ?? ''} has a new PIN.` : ''}
        </Box>
      </Box>
      <Refused task={task} word="Not changed." />
    </Panel>
  );
}
