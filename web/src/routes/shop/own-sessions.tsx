/** Where one is signed in: since when, on what device; another one is ended from here. */
import { Box } from '@chakra-ui/react';
import { api } from '../../data/api.ts';
import { useEndpoint } from '../../data/queries.ts';
import { shopTime } from '../../lib/time.ts';
import { useTask } from '../../lib/use-task.ts';
import { t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Refused } from '../../ui/refused.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';

export function OwnSessions() {
  const { data, error } = useEndpoint('ownSessions');
  const task = useTask();
  if (error) return <Notice level="refusal">{error.message}</Notice>;
  return (
    <Panel title={t('view.shop.sessions')}>
      <Table label={t('view.shop.sessions')}>
        <Heads names={[t('view.shop.device'), t('view.shop.since'), t('view.shop.ends'), '']} />
        <tbody>
          {(data ?? []).map(({ id, device, startedAt, endsAt, isThis }) => (
            <tr key={id}>
              <Cell middle head>
                {device === '' ? t('view.shop.device-unknown') : device}
              </Cell>
              <Cell middle>{startedAt === null ? '' : shopTime(startedAt)}</Cell>
              <Cell middle>{shopTime(endsAt)}</Cell>
              <Cell middle textAlign="end">
                {isThis ? (
                  <Box color="spruce">{t('view.shop.session-this')}</Box>
                ) : (
                  <Action
                    kind="quiet"
                    disabled={task.busy}
                    aria-label={t('view.shop.session-end-of', {
                      device,
                      since: startedAt === null ? '' : shopTime(startedAt),
                    })}
                    onClick={() => void task.run(() => api.endSession(id))}
                  >
                    {t('view.shop.session-end')}
                  </Action>
                )}
              </Cell>
            </tr>
          ))}
        </tbody>
      </Table>
      <Refused task={task} word={t('view.shop.not-changed')} />
    </Panel>
  );
}
