/** What wears on one gun: used against what it lasts here, and a new part put in. */
import { HazardText } from '../../ui/hazard-text.tsx';
import { hazard } from '@fox-tempo/words';
import { Box } from '@chakra-ui/react';
import type { WearRow } from '@fox-tempo/contract';
import { amount } from '@fox-tempo/core/base/messages';
import { wearPartNames, wearUnits } from '@fox-tempo/core/machine/wear';
import { useState } from 'react';
import { api } from '../../data/api.ts';
import { useEndpoint } from '../../data/queries.ts';
import { useMay } from '../../session/session.ts';
import { shopTime } from '../../lib/time.ts';
import { useTask } from '../../lib/use-task.ts';
import { t, format } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';

export function GunWear({ machineId, feederId }: { readonly machineId: string; readonly feederId: string }) {
  const { data } = useEndpoint('wear', {});
  const parts = (data?.parts ?? []).filter((one) => one.machineId === machineId && one.feederId === feederId);
  if (parts.length === 0) return null;
  return (
    <Box role="group" aria-label={t('view.wear.what-wears')}>
      <Box textStyle="label" color="quiet" mb="1">
        {t('view.wear.what-wears')}
      </Box>
      <Box as="ul" listStyleType="none">
        {parts.map((row) => (
          <PartRow key={row.part} row={row} />
        ))}
      </Box>
    </Box>
  );
}

const looks = {
  fine: { color: 'spruce', mark: '✓', word: t('view.wear.fine') },
  soon: { color: 'ochre', mark: '◇', word: t('view.wear.soon') },
  due: { color: 'crimson', mark: '✕', word: t('view.wear.due') },
} as const;

function PartRow({ row }: { readonly row: WearRow }) {
  const may = useMay('observe');
  const [isOpen, setOpen] = useState(false);
  const { color, mark, word } = looks[row.due];
  const in_ = (value: number) => amount(wearUnits[row.part], value, wearUnits[row.part] === 'minutes' ? 0 : 1);
  return (
    <Box as="li" py="1.5" borderTopWidth="1px" borderColor="line">
      <Box display="grid" gridTemplateColumns="minmax(0, 1fr) auto auto" gap="3" alignItems="center">
        <Box minWidth={0}>
          <Box fontWeight={600} fontSize="text">
            {format(wearPartNames[row.part])}{' '}
            <Box as="span" color={color}>
              {mark} {word}
            </Box>
          </Box>
          <Box fontSize="small" color="quiet">
            {t('view.wear.used', {
              used: in_(row.used),
              expected: in_(row.life.expected),
              low: in_(row.life.low),
              high: in_(row.life.high),
            })}
            , {row.life.by === 'rule' ? t('view.wear.by-rule') : t('view.wear.by-own', { n: row.life.n })}
            {' · '}
            {row.since === null
              ? t('view.wear.never-noted')
              : t('view.wear.since', { since: shopTime(row.since), by: row.by ?? '' })}
          </Box>
          <Box height="4px" bg="line" mt="1" aria-hidden="true">
            <Box height="100%" bg={color} width={`${Math.min(100, (100 * row.used) / row.life.expected)}%`} />
          </Box>
        </Box>
        {may && (
          <Action fontSize="small" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
            {t('view.wear.new-part', { part: format(wearPartNames[row.part]) })}
          </Action>
        )}
      </Box>
      {isOpen && <NewPart row={row} onDone={() => setOpen(false)} />}
    </Box>
  );
}

function NewPart({ row, onDone }: { readonly row: WearRow; readonly onDone: () => void }) {
  const task = useTask();
  const [reason, setReason] = useState<'worn' | 'still-good'>('worn');
  return (
    <Box display="grid" gap="2" mt="2">
      <Notice level="caution">
        <HazardText said={hazard('view.wear.isolate-first')} />
      </Notice>
      <Box display="flex" gap="2" alignItems="end" flexWrap="wrap">
        <Box width="240px">
          <ChoiceField
            label={t('view.wear.old-one')}
            value={reason}
            choices={[
              { value: 'worn', label: t('view.wear.worn-out') },
              { value: 'still-good', label: t('view.wear.still-good') },
            ]}
            onChange={setReason}
          />
        </Box>
        <Action
          kind="main"
          disabled={task.busy}
          onClick={() =>
            void task.run(async () => {
              await api.observe({
                kind: 'replaced',
                machineId: row.machineId,
                body: { feederId: row.feederId, part: row.part, reason, note: '' },
              });
              onDone();
            })
          }
        >
          {t('view.library.save')}
        </Action>
      </Box>
      {task.problem !== null && <Notice level="refusal">{task.problem}</Notice>}
    </Box>
  );
}
