/** The order of seams as it stands, and the one that waits least. */
import { minutesOf } from '@fox-tempo/core/base/units';
import { Box } from '@chakra-ui/react';
import { amount } from '@fox-tempo/core/base/messages';
import type { OrderedSoak, SoakInput } from '@fox-tempo/core/weld/soak';
import { useMemo } from 'react';
import { t, formatIf } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { useSum } from '../../workers/use-sum.ts';
import type { Layout } from './layout.ts';

export function Order({
  input,
  layout,
  found,
  onOrder,
}: {
  readonly input: SoakInput;
  readonly layout: Layout;
  readonly found: OrderedSoak;
  readonly onOrder: (order: readonly number[] | null) => void;
}) {
  const ask = useMemo(() => ({ input }), [input]);
  const { answer, current, issues, retry } = useSum('heatOrder', ask);
  return (
    <Panel title={t('view.heat.order-of-seams')}>
      <Box display="grid" gap="2" fontSize="text">
        <Box>
          {t('view.heat.order-as-listed', {
            total: amount('minutes', minutesOf(found.endsAtS), 1),
            waits: amount('minutes', minutesOf(found.waitS), 1),
          })}
        </Box>
        {issues.length > 0 ? (
          <Notice level="caution">
            {formatIf(issues[0]?.message)}{' '}
            <Action kind="quiet" minHeight="32px" onClick={retry}>
              {t('view.heat.again')}
            </Action>
          </Notice>
        ) : answer && current ? (
          <>
            <Box>
              {t('view.heat.best-found', {
                order: answer.order.map((at) => at + 1).join(', '),
                total: amount('minutes', minutesOf(answer.endsAtS), 1),
                waits: amount('minutes', minutesOf(answer.waitS), 1),
              })}
            </Box>
            <Box display="flex" gap="2" flexWrap="wrap">
              <Action
                kind="main"
                disabled={answer.order.join() === found.order.join()}
                onClick={() => onOrder(answer.order)}
              >
                {t('view.heat.take-this-order')}
              </Action>
              {layout.order && <Action onClick={() => onOrder(null)}>{t('view.heat.order-reset')}</Action>}
            </Box>
          </>
        ) : (
          <Box color="quiet" role="status">
            {t('view.heat.order-searching')}
          </Box>
        )}
      </Box>
    </Panel>
  );
}
