/** A correction: the record as it stands, changed, and sent as a further row. */
import { Box } from '@chakra-ui/react';
import type { Trial } from '@fox-tempo/contract';
import { useState } from 'react';
import { useRevalidator } from 'react-router';
import { api } from '../../data/api.ts';
import { useMe } from '../../session/session.ts';
import { useTask } from '../../lib/use-task.ts';
import { t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { bodyOf, draftOf } from './draft.ts';
import { LookedAt } from './looked-at.tsx';
import { Legs, More, Panelled } from './measured-fields.tsx';

export function Correction({ trial, onDone }: { readonly trial: Trial; readonly onDone: () => void }) {
  const [draft, setDraft] = useState(() => draftOf(trial.body, null));
  const me = useMe();
  const isOwn = me?.id === trial.weldedById || me?.name === trial.recordedBy;
  const [why, setWhy] = useState('');
  const task = useTask();
  const { revalidate } = useRevalidator();
  const keep = `correction/${trial.id}`;
  const change = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part });
  const send = () =>
    task.run(async () => {
      const { loaded, circuitMOhm, ticked, after, plan, fit } = trial.body;
      const kept = { loaded, circuitMOhm, ticked, after, plan, fit };
      const sent = await api.addTrial({
        seamId: trial.seamId,
        machineId: trial.machineId,
        revision: trial.revision,
        corrects: trial.id,
        ...(isOwn ? {} : { why: why.trim() }),
        attachments: trial.attachments.map(({ sha256, name }) => ({ sha256, name })),
        body: { ...kept, ...bodyOf(draft) },
      });
      if (!sent) {
        onDone();
        return;
      }
      onDone();
      await revalidate();
    });
  return (
    <Panel title={t('view.trials.correct')}>
      <Box display="grid" gap="3">
        <LookedAt symptoms={draft.symptoms} onChange={(symptoms) => change({ symptoms })} />
        {trial.limits.legMm && <Legs seamId={keep} draft={draft} onChange={change} />}
        <Panelled seamId={keep} draft={draft} onChange={change} />
        <More seamId={keep} draft={draft} onChange={change} />
        <TextField
          label={t('view.trials.note')}
          value={draft.note}
          maxLength={1000}
          onChange={(note) => change({ note })}
        />
        {!isOwn && <TextField label={t('view.trials.why-corrected')} value={why} maxLength={300} onChange={setWhy} />}
        {task.problem !== null && <Notice level="refusal">{task.problem}</Notice>}
        <Box display="flex" gap="2">
          <Action kind="main" disabled={task.busy || (!isOwn && why.trim().length < 3)} onClick={() => void send()}>
            {t('view.trials.record-the-correction')}
          </Action>
          <Action kind="quiet" onClick={onDone}>
            {t('view.trials.leave')}
          </Action>
        </Box>
      </Box>
    </Panel>
  );
}
