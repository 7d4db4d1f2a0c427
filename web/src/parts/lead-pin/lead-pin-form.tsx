/** A lead hand's name, PIN and reason on somebody else's session: what is done with them stands in the record under the lead hand's name. */
import { Box } from '@chakra-ui/react';
import { may, type Act, type LeadPin } from '@fox-tempo/contract';
import { useState } from 'react';
import { session } from '../../session/session.ts';
import type { Task } from '../../lib/use-task.ts';
import { t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { TextField } from '../../ui/text-field.tsx';

export interface LeadPinFormProps {
  readonly word: string;
  /** What the PIN lets happen: those who may do it are offered. */
  readonly right: Act;
  /** Name of the act that the PIN is asked for. */
  readonly act: string;
  readonly task: Task;
  readonly onSend: (by: LeadPin, reason: string) => void;
}

export function LeadPinForm({ word, right, act, task, onSend }: LeadPinFormProps) {
  const people = (session.getState().state?.people ?? []).filter(({ role, hasPin }) => hasPin && may(right, role));
  const [personId, setPersonId] = useState(people[0]?.id ?? '');
  const [pin, setPin] = useState('');
  const [reason, setReason] = useState('');
  if (people.length === 0) return <Notice level="note">{t('view.lead-pin.no-pin')}</Notice>;
  return (
    <Box
      asChild
      display="grid"
      gap="2.5"
      gridTemplateColumns={{ base: '1fr', md: '1fr 120px 1.6fr auto' }}
      alignItems="end"
      bg="surface"
      borderWidth="1px"
      borderColor="edge"
      borderRadius="4px"
      p="3"
    >
      <form
        onSubmit={(event) => {
          event.preventDefault();
          onSend({ personId, pin }, reason.trim());
          setPin('');
        }}
      >
        <Box gridColumn="1 / -1" fontWeight={600} fontSize="text">
          {word}
        </Box>
        <ChoiceField
          label={t('view.lead-pin.lead-hand')}
          value={personId}
          choices={people.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={setPersonId}
        />
        <TextField label="PIN" value={pin} maxLength={12} secret onChange={setPin} />
        <TextField label={t('view.machines.why')} value={reason} maxLength={300} onChange={setReason} />
        <Action kind="main" type="submit" disabled={task.busy || pin.length < 4 || reason.trim().length < 3}>
          {act}
        </Action>
        {task.problem !== null && (
          <Box gridColumn="1 / -1">
            <Notice level="refusal" urgent>
              {task.problem}
            </Notice>
          </Box>
        )}
      </form>
    </Box>
  );
}
