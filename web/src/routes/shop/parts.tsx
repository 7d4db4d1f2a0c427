/** Parts: what orders ask for and seams belong to. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { parseWith, partCreate, partSave, type Part } from '@fox-tempo/contract';
import { useState } from 'react';
import { useRevalidator } from 'react-router';
import { api } from '../../data/api.ts';
import { announce } from '../../lib/notices.ts';
import { useMay } from '../../session/session.ts';
import { Action } from '../../ui/action.tsx';
import { FormText } from '../../ui/forms/fields.tsx';
import { useRecordForm } from '../../ui/forms/record-form.ts';
import { RecordTroubles } from '../../ui/forms/record-troubles.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
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
      <Panel
        title={t('view.shop.parts', { parts: parts.length })}
        aside={mayChange ? undefined : <MayNot act="savePart" />}
      >
        <Box maxWidth="320px" mb="2">
          <TextField label={t('view.seams.search')} value={wanted} onChange={setWanted} />
        </Box>
        {shown.length === 0 && (
          <Notice level="note">{parts.length === 0 ? t('view.shop.no-part') : t('view.shop.no-part-match')}</Notice>
        )}
        <ChangeableTable
          label={t('view.palette.parts')}
          heads={[t('view.shop.part'), t('view.shop.part-what')]}
          items={shown}
          mayChange={() => mayChange}
          actName={(part) => t('view.shop.part-change', { part: part.name })}
          cells={(part) => (
            <>
              <Cell middle head color={part.retired ? 'quiet' : 'ink'}>
                {part.retired ? t('view.shop.retired', { name: part.name }) : part.name}
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
  const { revalidate } = useRevalidator();
  const record = useRecordForm({
    keep: `part/${part.id}`,
    labels: {
      name: t('view.shop.part-name', { part: part.name }),
      about: t('view.shop.part-what'),
      retired: t('view.shop.part-is-retired'),
    },
    parse: (value) => parseWith(partSave, value),
    stored: part,
    values: (stored: Part | null) => ({
      name: stored?.name ?? '',
      about: stored?.about ?? '',
      retired: stored?.retired ?? false,
    }),
    write: (body, basedOn) => api.savePart(part.id, basedOn, body),
    onSaved: async (saved) => {
      await revalidate();
      onDone();
      if (saved.retired !== part.retired)
        announce({
          level: 'note',
          text: t('view.shop.part-retired', { name: part.name, retired: saved.retired ? 'yes' : 'other' }),
          undo: () =>
            api.savePart(part.id, saved.version, { name: part.name, about: part.about, retired: part.retired }),
        });
    },
  });
  return (
    <Box>
      <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', md: '1fr 1.6fr auto auto' }} alignItems="start">
        <FormText of={record} name="name" />
        <FormText of={record} name="about" maxLength={300} />
        <Action kind="main" mt="18px" disabled={record.busy} onClick={() => void record.submit()}>
          {t('view.library.save')}
        </Action>
        <Action mt="18px" disabled={record.busy} onClick={() => void record.submit({ retired: !part.retired })}>
          {part.retired ? t('view.shop.make-it-again') : t('view.shop.retire')}
        </Action>
      </Box>
      <RecordTroubles
        of={record}
        word={t('view.library.not-saved')}
        says={{ retired: (retired) => (retired === true ? t('view.shop.yes') : t('view.sheet.no')) }}
      />
    </Box>
  );
}

function AddPart() {
  const { revalidate } = useRevalidator();
  const record = useRecordForm({
    keep: 'part/new',
    labels: { name: t('view.seams.name'), about: t('view.shop.part-what') },
    parse: (value) => parseWith(partCreate, value),
    stored: null,
    values: () => ({ name: '', about: '' }),
    write: (body) => api.addPart(body),
    onSaved: async () => {
      record.leave();
      await revalidate();
    },
  });
  return (
    <Panel title={t('view.shop.a-new-part')}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void record.submit();
        }}
      >
        <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', md: '1fr 1.6fr auto' }} alignItems="start">
          <FormText of={record} name="name" />
          <FormText of={record} name="about" maxLength={300} />
          <Action kind="main" type="submit" mt="18px" disabled={record.busy}>
            {t('view.shop.add-the-part')}
          </Action>
        </Box>
        <RecordTroubles of={record} word={t('view.shop.not-added')} />
      </form>
    </Panel>
  );
}
