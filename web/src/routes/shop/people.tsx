/** Who works here: names, roles, PINs. Nobody is deleted; who left is retired and stays under what was signed. */
import { t, format } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import {
  mayGiveRole,
  mayKeepPerson,
  parseWith,
  personCreate,
  personSave,
  roleNames,
  roles,
  type Person,
  type Role,
} from '@fox-tempo/contract';
import { useState } from 'react';
import { useRevalidator } from 'react-router';
import { api } from '../../data/api.ts';
import { announce } from '../../lib/notices.ts';
import { useMay, useMe } from '../../session/session.ts';
import { useTask } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { FormChoice, FormText } from '../../ui/forms/fields.tsx';
import { useRecordForm } from '../../ui/forms/record-form.ts';
import { RecordTroubles } from '../../ui/forms/record-troubles.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Refused } from '../../ui/refused.tsx';
import { Cell } from '../../ui/table.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { shopTime } from '../../lib/time.ts';
import { ChangeableTable } from './changeable-table.tsx';
import { OwnSessions } from './own-sessions.tsx';
import { MayNot } from './may-not.tsx';

/** Roles that somebody may give, and the one that the person has. */
function useRoleChoices(has?: Role) {
  const me = useMe();
  return roles
    .filter((role) => role === has || (me !== null && mayGiveRole(me.role, role)))
    .map((role) => ({ value: role, label: roleNames[role] }));
}
const pinOnly = (text: string) => text.replace(/\D/g, '').slice(0, 8);

export function People({ people }: { readonly people: readonly Person[] }) {
  const mayChange = useMay('savePerson');
  const me = useMe();
  const here = people.filter((person) => !person.retired);
  const gone = people.filter((person) => person.retired);
  return (
    <>
      <Panel title={t('view.palette.people')} aside={mayChange ? undefined : <MayNot act="savePerson" />}>
        <ChangeableTable
          label={t('view.shop.people')}
          heads={[t('view.seams.name'), t('view.shop.role'), 'PIN']}
          items={[...here, ...gone]}
          mayChange={(person) => mayChange && me !== null && mayKeepPerson(me.role, person.role)}
          actName={(person) => t('view.shop.person-change', { person: person.name })}
          cells={(person) => (
            <>
              <Cell middle head color={person.retired ? 'quiet' : 'ink'}>
                {person.retired ? t('view.shop.left', { name: person.name }) : person.name}
              </Cell>
              <Cell middle>{format(roleNames[person.role])}</Cell>
              <Cell middle color={person.hasPin ? 'quiet' : 'ochre'}>
                {person.hasPin ? t('view.shop.set') : t('view.shop.pin-none')}
                {person.wrongTries && (
                  <Box color="ochre" fontSize="small">
                    {t('view.shop.wrong-tries', {
                      count: person.wrongTries.count,
                      at: shopTime(person.wrongTries.lastAt),
                    })}
                  </Box>
                )}
              </Cell>
            </>
          )}
          form={(person, onDone) => <ChangePerson person={person} onDone={onDone} />}
        />
      </Panel>
      {mayChange && <AddPerson />}
      <OwnPin />
      <OwnSessions />
    </>
  );
}

function ChangePerson({ person, onDone }: { readonly person: Person; readonly onDone: () => void }) {
  const roleChoices = useRoleChoices(person.role);
  const { revalidate } = useRevalidator();
  const record = useRecordForm({
    keep: `person/${person.id}`,
    labels: {
      name: t('view.shop.person-name', { person: person.name }),
      role: t('view.shop.role'),
      retired: t('view.shop.has-left'),
    },
    parse: (value) => parseWith(personSave, value),
    stored: person,
    values: (stored: Person | null) => ({
      name: stored?.name ?? '',
      role: stored?.role ?? 'welder',
      retired: stored?.retired ?? false,
    }),
    write: (body, basedOn) => api.savePerson(person.id, basedOn, body),
    onSaved: async (saved) => {
      await revalidate();
      onDone();
      if (saved.retired !== person.retired)
        announce({
          level: 'note',
          text: t('view.shop.person-left', { name: person.name, left: saved.retired ? 'yes' : 'other' }),
          undo: () =>
            api.savePerson(person.id, saved.version, { name: person.name, role: person.role, retired: person.retired }),
        });
    },
  });
  return (
    <Box>
      <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', md: '1.4fr 1fr auto auto' }} alignItems="start">
        <FormText of={record} name="name" />
        <FormChoice of={record} name="role" choices={roleChoices} />
        <Action kind="main" mt="18px" disabled={record.busy} onClick={() => void record.submit()}>
          {t('view.library.save')}
        </Action>
        <Action mt="18px" disabled={record.busy} onClick={() => void record.submit({ retired: !person.retired })}>
          {person.retired ? t('view.shop.person-back') : t('view.shop.has-left')}
        </Action>
      </Box>
      <RecordTroubles
        of={record}
        word={t('view.shop.not-changed')}
        says={{
          role: (role) => format(roleNames[role as Role]),
          retired: (retired) => (retired === true ? t('view.shop.yes') : t('view.sheet.no')),
        }}
      />
      <NewPin person={person} onDone={onDone} />
    </Box>
  );
}

function NewPin({ person, onDone }: { readonly person: Person; readonly onDone: () => void }) {
  const [pin, setPin] = useState('');
  const task = useTask();
  const { revalidate } = useRevalidator();
  return (
    <>
      <Box display="flex" gap="3" mt="3" alignItems="end" flexWrap="wrap">
        <Box width="240px">
          <TextField
            label={t('view.shop.pin-new', { person: person.name })}
            value={pin}
            onChange={(text) => setPin(pinOnly(text))}
          />
        </Box>
        <Action
          disabled={task.busy || pin.length < 4}
          onClick={() =>
            void task.run(async () => {
              await api.resetPin(person.id, person.version, pin);
              await revalidate();
              onDone();
            })
          }
        >
          {t('view.shop.set-the-pin')}
        </Action>
        <Box color="quiet" fontSize="small" pb="3">
          {t('view.shop.pin-new-why', { person: person.name })}
        </Box>
      </Box>
      <Refused task={task} word={t('view.shop.not-changed')} />
    </>
  );
}

function AddPerson() {
  const roleChoices = useRoleChoices();
  const { revalidate } = useRevalidator();
  const record = useRecordForm({
    keep: 'person/new',
    labels: { name: t('view.seams.name'), role: t('view.shop.role'), pin: t('view.shop.pin-label') },
    // A PIN is never kept on the device.
    secret: ['pin'],
    parse: (value) => parseWith(personCreate, value),
    stored: null,
    values: () => ({ name: '', role: 'welder', pin: '' }),
    write: (body) => api.addPerson(body),
    onSaved: async () => {
      record.leave();
      await revalidate();
    },
  });
  return (
    <Panel title={t('view.shop.somebody-new')}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void record.submit();
        }}
      >
        <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', md: '1.4fr 1fr 1fr auto' }} alignItems="start">
          <FormText of={record} name="name" />
          <FormChoice of={record} name="role" choices={roleChoices} />
          <FormText of={record} name="pin" only={pinOnly} />
          <Action kind="main" type="submit" mt="18px" disabled={record.busy}>
            {t('view.shop.add')}
          </Action>
        </Box>
        <RecordTroubles of={record} word={t('view.shop.not-added')} />
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
    <Panel title={t('view.shop.your-own-pin')}>
      <Box display="flex" gap="3" flexWrap="wrap" alignItems="end">
        <Box width="200px">
          <TextField
            secret
            label={t('view.shop.pin-current')}
            value={pins.old}
            onChange={(text) => setPins({ ...pins, old: pinOnly(text) })}
          />
        </Box>
        <Box width="200px">
          <TextField
            secret
            label={t('view.shop.new-pin')}
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
          {t('view.shop.pin-change')}
        </Action>
        <Box role="status" color="spruce" fontSize="small" pb="3">
          {done ? t('view.shop.pin-changed', { me: me?.name ?? '' }) : ''}
        </Box>
      </Box>
      <Refused task={task} word={t('view.shop.not-changed')} />
    </Panel>
  );
}
