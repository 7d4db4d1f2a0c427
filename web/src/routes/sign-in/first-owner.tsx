/** The first owner of a shop: the code that the start printed, a name and a PIN. */
import { t, formatIf } from '../../lib/words.ts';
import { Box, Heading } from '@chakra-ui/react';
import type { SessionState } from '@fox-tempo/contract';
import { useState, type SubmitEvent } from 'react';
import { api } from '../../data/api.ts';
import type { Task } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { TextField } from '../../ui/text-field.tsx';

export function FirstOwner({
  onDone,
  task,
}: {
  readonly onDone: (ask: () => Promise<SessionState>) => void;
  readonly task: Task;
}) {
  const [form, setForm] = useState({ code: '', name: '', pin: '' });
  const set = (change: Partial<typeof form>) => setForm({ ...form, ...change });
  const issue = (path: string) => task.error?.problem.issues?.find((one) => one.path === path)?.message;
  return (
    <Panel mb="6" px="5" py="4">
      <Heading as="h2" textStyle="heading" mb="1">
        {t('view.sign-in.no-owner')}
      </Heading>
      <Box color="quiet" fontSize="text" mb="3" maxWidth="60ch">
        {t('view.sign-in.no-owner-why')}
      </Box>
      <form
        onSubmit={(event: SubmitEvent) => {
          event.preventDefault();
          onDone(() => api.makeOwner(form));
        }}
      >
        <Box
          display="grid"
          gap="3"
          gridTemplateColumns={{ base: '1fr', md: '1.2fr 1.4fr 1fr auto' }}
          alignItems="start"
        >
          <TextField
            label={t('view.sign-in.one-time-code')}
            value={form.code}
            onChange={(code) => set({ code })}
            error={formatIf(issue('code'))}
          />
          <TextField
            label={t('view.sign-in.your-name')}
            value={form.name}
            onChange={(name) => set({ name })}
            error={formatIf(issue('name'))}
          />
          <TextField
            label={t('view.shop.pin-label')}
            value={form.pin}
            maxLength={8}
            onChange={(pin) => set({ pin: pin.replace(/\D/g, '') })}
            error={formatIf(issue('pin'))}
          />
          <Action kind="main" type="submit" mt="18px" disabled={task.busy}>
            {t('view.sign-in.become-the-owner')}
          </Action>
        </Box>
      </form>
      {task.error && !task.error.problem.issues && (
        <Box mt="3">
          <Notice level="refusal" word={t('view.machines.not-made')} urgent>
            {task.error.message}
          </Notice>
        </Box>
      )}
    </Panel>
  );
}
