/** A refused record in a lead hand's hands: everything that was in it, and a word on what became of it. */
import { Box } from '@chakra-ui/react';
import type { Observation } from '@fox-tempo/contract';
import { useState } from 'react';
import { shopTime } from '../../lib/time.ts';
import { t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { TextField } from '../../ui/text-field.tsx';

export function HandedOver({
  row,
  onSettled,
}: {
  readonly row: Observation;
  readonly onSettled: (why: string) => Promise<unknown>;
}) {
  const [why, setWhy] = useState('');
  const {
    about,
    why: refused,
    sent,
  } = row.body as { readonly about: string; readonly why: string; readonly sent: object };
  return (
    <Box as="li" borderTopWidth="1px" borderColor="line" pt="2" display="grid" gap="2">
      <Box display="flex" gap="3" flexWrap="wrap" alignItems="baseline">
        <Box as="strong">{about}</Box>
        <Box color="quiet" fontSize="small">
          {t('view.outbox.by-at', { by: row.recordedBy, at: shopTime(row.at) })}
        </Box>
      </Box>
      <Box fontSize="text" color="crimson">
        {refused}
      </Box>
      <Box as="dl" fontSize="small" display="grid" gridTemplateColumns="max-content 1fr" columnGap="3" rowGap="0.5">
        {leaves(sent).map(([path, value]) => (
          <Box key={path} display="contents">
            <Box as="dt" color="quiet">
              {path}
            </Box>
            <Box as="dd">{value}</Box>
          </Box>
        ))}
      </Box>
      <Box display="flex" gap="2" alignItems="end" flexWrap="wrap">
        <Box flex="1 1 240px">
          <TextField label={t('view.outbox.result')} value={why} maxLength={300} onChange={setWhy} />
        </Box>
        <Action kind="main" disabled={why.trim().length < 3} onClick={() => void onSettled(why.trim())}>
          {t('view.outbox.settled')}
        </Action>
      </Box>
    </Box>
  );
}

/** What was sent, one figure a line, named as the endpoint names it. */
function leaves(value: unknown, path = ''): [string, string][] {
  if (typeof value !== 'object' || value === null) return [[path, String(value)]];
  return Object.entries(value).flatMap(([key, one]) => leaves(one, path === '' ? key : `${path}.${key}`));
}
