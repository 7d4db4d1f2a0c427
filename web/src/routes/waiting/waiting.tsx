/** Records that wait on this device, each with who made it, when and why it waits; and for lead hands those that were handed over. */
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Link } from 'react-router';
import { useStore } from 'zustand';
import { discardRecord, sendWaiting, waitingRecords, type Entry } from '../../data/outbox/index.ts';
import { useObserved } from '../../data/use-observed.ts';
import { useMay, useMe } from '../../session/session.ts';
import { shopTime } from '../../lib/time.ts';
import { useTask } from '../../lib/use-task.ts';
import { t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Page } from '../../ui/page.tsx';
import { Panel } from '../../ui/panel.tsx';
import { HandedOver } from './handed-over.tsx';
import { handOver, placeOf, recordNames, wayToSend } from './ways.ts';

export function Waiting() {
  const entries = useStore(waitingRecords, (state) => state.entries);
  const waits = entries.filter(({ refused }) => refused === null);
  const refused = entries.filter((one) => one.refused !== null);
  return (
    <Page
      title={t('view.outbox.title')}
      line={t('view.outbox.why')}
      acts={waits.length > 0 && <Action onClick={() => void sendWaiting()}>{t('view.outbox.try-now')}</Action>}
      p={{ base: '3', md: '5' }}
      gap="4"
    >
      {entries.length === 0 && <Notice level="note">{t('view.outbox.nothing-waits')}</Notice>}
      {refused.length > 0 && (
        <Panel title={t('view.outbox.refused')}>
          <Box as="ul" listStyleType="none" display="grid" gap="3">
            {refused.map((entry) => (
              <RefusedEntry key={entry.key} entry={entry} />
            ))}
          </Box>
        </Panel>
      )}
      {waits.length > 0 && (
        <Panel title={t('view.outbox.waiting')}>
          <Box as="ul" listStyleType="none" display="grid" gap="2">
            {waits.map((entry) => (
              <li key={entry.key}>
                <EntryHead entry={entry} />
              </li>
            ))}
          </Box>
        </Panel>
      )}
      <HandedOverToMe />
    </Page>
  );
}

function HandedOverToMe() {
  const may = useMay('settleHandedOver');
  return may ? <AllHandedOver /> : null;
}

function AllHandedOver() {
  const { rows, problem, record } = useObserved('handed-over', {}, 100);
  if (problem !== null) return <Notice level="refusal">{problem}</Notice>;
  if (!rows || rows.length === 0) return null;
  return (
    <Panel title={t('view.outbox.handed-over-title')}>
      <Box as="ul" listStyleType="none" display="grid" gap="3">
        {rows.map((row) => (
          <HandedOver
            key={row.id}
            row={row}
            onSettled={(why) => record({ kind: 'withdrawal', corrects: row.id, body: { why } })}
          />
        ))}
      </Box>
    </Panel>
  );
}

function EntryHead({ entry: { name, about, by, at } }: { readonly entry: Entry }) {
  return (
    <Box display="flex" gap="3" flexWrap="wrap" alignItems="baseline">
      <Box as="strong">{recordNames[name]}</Box>
      {about !== '' && <Box>{about}</Box>}
      <Box color="quiet" fontSize="small">
        {t('view.outbox.by-at', { by: by?.name ?? t('view.outbox.nobody-knows'), at: shopTime(at) })}
      </Box>
    </Box>
  );
}

function RefusedEntry({ entry }: { readonly entry: Entry }) {
  const me = useMe();
  const task = useTask();
  const mayHandOver = useMay('observe');
  const [sure, setSure] = useState(false);
  const way = me && wayToSend(entry, me);
  return (
    <Box as="li" borderTopWidth="1px" borderColor="line" pt="2" display="grid" gap="2">
      <EntryHead entry={entry} />
      <Box fontSize="text" color="crimson">
        {entry.refused?.detail}
      </Box>
      {task.problem !== null && <Notice level="refusal">{task.problem}</Notice>}
      <Box display="flex" gap="2" flexWrap="wrap">
        {way && (
          <Action kind="main" disabled={task.busy} onClick={() => void task.run(way.go)}>
            {way.label}
          </Action>
        )}
        <Action asChild>
          <Link to={placeOf(entry)}>{t('view.outbox.correct')}</Link>
        </Action>
        {mayHandOver && (
          <Action disabled={task.busy} onClick={() => void task.run(() => handOver(entry))}>
            {t('view.outbox.hand-over')}
          </Action>
        )}
        {sure ? (
          <Action kind="main" onClick={() => void discardRecord(entry.key)}>
            {t('view.outbox.discard-for-good')}
          </Action>
        ) : (
          <Action kind="quiet" onClick={() => setSure(true)}>
            {t('view.outbox.discard')}
          </Action>
        )}
      </Box>
    </Box>
  );
}
