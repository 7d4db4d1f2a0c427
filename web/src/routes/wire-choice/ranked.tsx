/** One list of choices, the best first, each with its reasons; what is ruled out stands behind a count. */
import { t, format, named } from '../../lib/words.ts';
import { Box, Heading } from '@chakra-ui/react';
import type { RankedChoice } from '@fox-tempo/core/setting/wire-choice';
import { useState } from 'react';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';

const marks = {
  'first choice': { sign: '●', colour: 'spruce' },
  'runner-up': { sign: '◐', colour: 'spruce' },
  possible: { sign: '○', colour: 'quiet' },
  'ruled out': { sign: '✕', colour: 'crimson' },
} as const;

export function Ranked<T extends string | number>({
  title,
  rows,
  chosen,
  onTake,
  stockOf,
  children,
}: {
  readonly title: string;
  readonly rows: readonly RankedChoice<T>[];
  readonly chosen: T;
  readonly onTake: (value: T) => void;
  readonly stockOf: (value: T) => string | undefined;
  readonly children?: React.ReactNode;
}) {
  const [showsOut, setShowsOut] = useState(false);
  // What the shop has comes first; among equals the ranking stands.
  const inPlace = rows
    .filter((row) => row.verdict !== 'ruled out' || row.value === chosen)
    .map((row, place) => ({ row, place, rank: stockOf(row.value) === undefined ? 1 : 0 }))
    .sort((a, b) => a.rank - b.rank || a.place - b.place)
    .map(({ row }) => row);
  const out = rows.filter((row) => row.verdict === 'ruled out' && row.value !== chosen);
  return (
    <Panel title={title}>
      {children}
      <Box as="ul" listStyleType="none">
        {[...inPlace, ...(showsOut ? out : [])].map((row) => {
          const mark = marks[row.verdict];
          const isChosen = row.value === chosen;
          const stock = stockOf(row.value);
          return (
            <Box
              as="li"
              key={row.value}
              borderTopWidth="1px"
              borderColor="line"
              py="2"
              {...(isChosen
                ? { bg: 'accentSoft', mx: '-12px', px: '12px', borderStartWidth: '4px', borderStartColor: 'accent' }
                : {})}
            >
              <Box display="flex" justifyContent="space-between" gap="2" alignItems="flex-start">
                <Box minWidth={0}>
                  <Heading as="h3" fontSize="body" fontWeight={600}>
                    {format(row.name)}
                  </Heading>
                  <Box fontSize="label" fontWeight={600} color={mark.colour}>
                    {mark.sign} {named(row.verdict)}
                    {stock === undefined ? '' : ` · ${stock}`}
                  </Box>
                </Box>
                {isChosen ? (
                  <Box fontSize="small" color="accent" fontWeight={600} flexShrink={0}>
                    {t('view.wire-choice.taken')}
                  </Box>
                ) : (
                  row.verdict !== 'ruled out' && (
                    <Action
                      kind="quiet"
                      fontSize="small"
                      aria-label={t('view.wire-choice.take', { row: row.name })}
                      onClick={() => onTake(row.value)}
                    >
                      {t('view.wire-choice.use')}
                    </Action>
                  )
                )}
              </Box>
              <Box fontSize="small" mt="0.5">
                {row.reasons.map(format).join('; ')}
              </Box>
              {row.cautions.map((caution) => (
                <Box key={format(caution)} fontSize="small" color="ochre" mt="0.5">
                  ◇ {format(caution)}
                </Box>
              ))}
            </Box>
          );
        })}
      </Box>
      {out.length > 0 && (
        <Action kind="quiet" fontSize="small" aria-expanded={showsOut} onClick={() => setShowsOut(!showsOut)}>
          {t('view.wire-choice.ruled-out', {
            showsOut: showsOut ? t('view.wire-choice.hide') : t('view.shop.show'),
            out: out.length,
          })}
        </Action>
      )}
      {inPlace.length === 0 && <Notice level="caution">{t('view.wire-choice.nothing-suits')}</Notice>}
    </Panel>
  );
}
