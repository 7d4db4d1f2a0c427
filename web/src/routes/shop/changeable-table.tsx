/** A table whose rows open a form below it, one at a time; without the right to change it is only read. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import { Action } from '../../ui/action.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';

interface Item {
  readonly id: string;
  readonly version: number;
}

export interface ChangeableTableProps<T extends Item> {
  readonly label: string;
  readonly heads: readonly string[];
  readonly right?: readonly string[];
  readonly items: readonly T[];
  /** Cells of a row, the first of them its head. */
  readonly cells: (item: T) => ReactNode;
  /** Name of the act that opens the row. */
  readonly actName: (item: T) => string;
  readonly mayChange: (item: T) => boolean;
  readonly form: (item: T, onDone: () => void) => ReactNode;
}

export function ChangeableTable<T extends Item>({
  label,
  heads,
  right = [],
  items,
  cells,
  actName,
  mayChange,
  form,
}: ChangeableTableProps<T>) {
  const [opened, setOpened] = useState<string | null>(null);
  const item = items.find((one) => one.id === opened);
  return (
    <>
      <Table label={label}>
        <Heads names={[...heads, '']} right={right} />
        <tbody>
          {items.map((one) => (
            <tr key={one.id}>
              {cells(one)}
              <Cell middle textAlign="end">
                {mayChange(one) && (
                  <Action
                    kind="quiet"
                    fontSize="small"
                    aria-expanded={opened === one.id}
                    aria-label={actName(one)}
                    onClick={() => setOpened(opened === one.id ? null : one.id)}
                  >
                    {t('view.shop.change')}
                  </Action>
                )}
              </Cell>
            </tr>
          ))}
        </tbody>
      </Table>
      {item && (
        // A version saved meanwhile begins the form anew.
        <Box key={`${item.id} ${item.version}`} mt="3" pt="3" borderTopWidth="1px" borderColor="line">
          {form(item, () => setOpened(null))}
        </Box>
      )}
    </>
  );
}
