/** Rows of a gun’s paper: as many as there are, one to add, one to take away. */
import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';

export function Rows<T>({
  title,
  rows,
  blank,
  columns,
  fields,
  onRows,
}: {
  readonly title: string;
  readonly rows: readonly T[];
  readonly blank: T;
  readonly columns: string;
  readonly fields: (row: T, change: (row: T) => void) => ReactNode;
  readonly onRows: (rows: T[]) => void;
}) {
  return (
    <Box role="group" aria-label={title}>
      <Box textStyle="label" color="quiet" mb="1">
        {title}
      </Box>
      {rows.map((row, at) => (
        <Box key={at} display="grid" gridTemplateColumns={{ base: '1fr 1fr', md: columns }} gap="2.5" mb="1.5">
          {fields(row, (next) => onRows(rows.map((one, index) => (index === at ? next : one))))}
          <Action
            kind="quiet"
            alignSelf="end"
            aria-label={t('view.gun-paper.remove-row', { title, row: at + 1 })}
            onClick={() => onRows(rows.filter((_, index) => index !== at))}
          >
            {t('view.machines.remove')}
          </Action>
        </Box>
      ))}
      <Action
        kind="quiet"
        aria-label={t('view.gun-paper.add-row-of', { title })}
        onClick={() => onRows([...rows, blank])}
      >
        {t('view.gun-paper.add-row')}
      </Action>
    </Box>
  );
}
