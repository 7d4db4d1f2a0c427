/** A table of records: sorted by a touch on a head, columns as chosen on this device, only the rows in sight drawn where there are many. */
import { Box, chakra } from '@chakra-ui/react';
import {
  columnVisibilityFeature,
  createSortedRowModel,
  rowSortingFeature,
  sortFn_alphanumeric,
  tableFeatures,
  useTable,
  type ColumnDef,
  type ColumnVisibilityState,
} from '@tanstack/react-table';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { Fragment, useState, type ReactNode } from 'react';
import { keep, recall } from '../lib/device.ts';
import { t } from '../lib/words.ts';
import { ColumnMenu } from './column-menu.tsx';
import { OlderOnes } from './older-ones.tsx';
import { capital, Cell, Table } from './table.tsx';

export interface RecordColumn<Row> {
  readonly id: string;
  readonly head: string;
  readonly cell: (row: Row) => ReactNode;
  /** What the column is sorted by; one without it is not sorted. */
  readonly sortBy?: (row: Row) => string | number;
  readonly figure?: boolean;
  readonly noWrap?: boolean;
  /** Cannot be hidden: without it the row says nothing. */
  readonly always?: boolean;
}

export interface RecordTableProps<Row> {
  /** Name of the table, and the place on the device where its columns are kept. */
  readonly label: string;
  readonly keepAs: string;
  readonly columns: readonly RecordColumn<Row>[];
  readonly rows: readonly Row[];
  readonly idOf: (row: Row) => string;
  /** Asks for the next page; null where all rows are here. */
  readonly onOlder: (() => Promise<void>) | null;
  /** What stands under a row, over all columns. */
  readonly under?: (row: Row) => ReactNode;
}

const features = tableFeatures({
  rowSortingFeature,
  columnVisibilityFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric },
});

/** Up to here all rows are drawn: finding on the page and printing then work as everywhere. */
const rowsDrawnWhole = 120;
const usualRowHeight = 56;

export function RecordTable<Row extends object>(props: RecordTableProps<Row>) {
  const { label, keepAs, columns, rows, idOf, onOlder, under } = props;
  const place = `columns/${keepAs}`;
  const [visible, setVisible] = useState<ColumnVisibilityState>(() => (recall(place) ?? {}) as ColumnVisibilityState);
  const table = useTable<typeof features, Row>({
    features,
    data: rows,
    getRowId: idOf,
    columns: columns.map(({ id, head, sortBy, always = false }): ColumnDef<typeof features, Row> => ({
      id,
      header: head,
      accessorFn: sortBy ?? (() => ''),
      enableSorting: sortBy !== undefined,
      enableHiding: !always,
      sortFn: 'alphanumeric',
    })),
    state: { columnVisibility: visible },
    onColumnVisibilityChange: (change) => {
      const next = typeof change === 'function' ? change(visible) : change;
      setVisible(next);
      keep(place, next);
    },
  });
  const shown = table.getVisibleLeafColumns().flatMap(({ id }) => columns.find((one) => one.id === id) ?? []);
  const sorted = table.getRowModel().rows;
  const { box, measure, from, to, before, after } = useDrawnRows(sorted.length);
  const isSorted = table.state.sorting.length > 0;
  return (
    <div ref={box}>
      <Box display="flex" justifyContent="flex-end" alignItems="center" gap="3" mb="-2">
        {isSorted && onOlder !== null && (
          <Box fontSize="label" color="quiet">
            {t('view.ui.sorted-among', { count: rows.length })}
          </Box>
        )}
        <ColumnMenu columns={table.getAllLeafColumns().filter((one) => one.getCanHide())} nameOf={nameIn(columns)} />
      </Box>
      <Table label={label}>
        <thead>
          <tr>
            {shown.map((one) => (
              <Head key={one.id} column={one} of={table.getColumn(one.id)} />
            ))}
          </tr>
        </thead>
        <tbody>
          {before > 0 && <Gap height={before} columns={shown.length} />}
          {sorted.slice(from, to).map(({ id, original }, at) => {
            const below = under?.(original);
            return (
              <Fragment key={id}>
                <tr ref={measure} data-index={from + at}>
                  {shown.map(({ id: column, cell, figure = false, noWrap = false }) => (
                    <Cell key={column} middle figure={figure} {...(noWrap ? { whiteSpace: 'nowrap' } : {})}>
                      {cell(original)}
                    </Cell>
                  ))}
                </tr>
                {below !== null && below !== undefined && below !== false && (
                  <tr>
                    <Box asChild py="2" borderBottomWidth="1px" borderColor="line">
                      <td colSpan={shown.length}>{below}</td>
                    </Box>
                  </tr>
                )}
              </Fragment>
            );
          })}
          {after > 0 && <Gap height={after} columns={shown.length} />}
        </tbody>
      </Table>
      {onOlder !== null && <OlderOnes onAsk={onOlder} />}
    </div>
  );
}

const nameIn =
  (columns: readonly { readonly id: string; readonly head: string }[]) =>
  (id: string): string =>
    columns.find((one) => one.id === id)?.head ?? id;

interface Sortable {
  readonly getIsSorted: () => false | 'asc' | 'desc';
  readonly toggleSorting: () => void;
}

function Head<Row>({ column, of }: { readonly column: RecordColumn<Row>; readonly of: Sortable | undefined }) {
  const way = of?.getIsSorted() ?? false;
  const Arrow = way === 'desc' ? ArrowDown : ArrowUp;
  return (
    <Box
      asChild
      textAlign={column.figure ? 'right' : 'left'}
      textStyle="label"
      color="quiet"
      fontWeight={500}
      pe="3"
      borderBottomWidth="1px"
      borderColor="line"
      verticalAlign="bottom"
    >
      {column.head === '' ? (
        <td />
      ) : (
        <th scope="col" aria-sort={way === false ? undefined : way === 'asc' ? 'ascending' : 'descending'}>
          {column.sortBy === undefined ? (
            <Box py="1" css={capital}>
              {column.head}
            </Box>
          ) : (
            <chakra.button
              type="button"
              minHeight="36px"
              cursor="pointer"
              textAlign="inherit"
              _hover={{ color: 'ink' }}
              css={capital}
              title={t('view.ui.sort-by', { head: column.head })}
              onClick={() => of?.toggleSorting()}
            >
              {column.head}
              {way !== false && (
                <Arrow size={12} aria-hidden="true" style={{ display: 'inline', marginInlineStart: 4 }} />
              )}
            </chakra.button>
          )}
        </th>
      )}
    </Box>
  );
}

/** Room of the rows that are out of sight. */
function Gap({ height, columns }: { readonly height: number; readonly columns: number }) {
  return (
    <tr aria-hidden="true">
      <td colSpan={columns} style={{ height }} />
    </tr>
  );
}

interface DrawnRows {
  /** Where the table begins on the page is read off it. */
  readonly box: (node: HTMLDivElement | null) => void;
  readonly from: number;
  readonly to: number;
  /** px above and below the drawn rows. */
  readonly before: number;
  readonly after: number;
  readonly measure: ((row: HTMLTableRowElement | null) => void) | undefined;
}

function useDrawnRows(count: number): DrawnRows {
  const [top, setTop] = useState(0);
  const box = (node: HTMLDivElement | null) => {
    if (node) setTop(node.offsetTop);
  };
  const isWhole = count <= rowsDrawnWhole;

  const virtual = useWindowVirtualizer({
    count,
    enabled: !isWhole,
    estimateSize: () => usualRowHeight,
    // A row without a layout yet counts as a usual one.
    measureElement: (row) => row.getBoundingClientRect().height || usualRowHeight,
    overscan: 12,
    scrollMargin: top,
  });
  const items = virtual.getVirtualItems();
  const first = items[0];
  const last = items.at(-1);
  if (isWhole || !first || !last)
    return { box, from: 0, to: Math.min(count, rowsDrawnWhole), before: 0, after: 0, measure: undefined };
  return {
    box,
    from: first.index,
    to: last.index + 1,
    before: first.start - virtual.options.scrollMargin,
    after: virtual.getTotalSize() - (last.end - virtual.options.scrollMargin),
    measure: virtual.measureElement,
  };
}
