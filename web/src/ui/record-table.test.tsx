import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { useState } from 'react';
import { resetSettings, show } from '../testing/show.tsx';
import { RecordTable, type RecordColumn } from './record-table.tsx';

interface Bead {
  readonly id: string;
  readonly seam: string;
  readonly legMm: number;
}
const bead = (id: string, seam: string, legMm: number): Bead => ({ id, seam, legMm });
const beads = [bead('a', 'Lid', 4.2), bead('b', 'Axle 10', 10.1), bead('c', 'Axle 9', 3)];

const columns: readonly RecordColumn<Bead>[] = [
  { id: 'seam', head: 'seam', cell: ({ seam }) => seam, sortBy: ({ seam }) => seam, always: true },
  { id: 'leg', head: 'leg', cell: ({ legMm }) => legMm, sortBy: ({ legMm }) => legMm, figure: true },
];

function Beads({ rows, onOlder }: { readonly rows: readonly Bead[]; readonly onOlder?: () => Promise<void> }) {
  return (
    <RecordTable
      label="Beads"
      keepAs="beads"
      columns={columns}
      rows={rows}
      idOf={({ id }) => id}
      onOlder={onOlder ?? null}
      under={({ id }) => id === 'b' && 'below b'}
    />
  );
}

const seams = () =>
  within(screen.getByRole('table'))
    .getAllByRole('row')
    .slice(1)
    .map((row) => row.firstElementChild?.textContent);

beforeEach(resetSettings);
afterEach(cleanup);

describe('a table of records', () => {
  it('stands as it was given until a head is touched; then it is sorted as people count, and says so', () => {
    show(<Beads rows={beads} />);
    expect(seams()).toEqual(['Lid', 'Axle 10', 'below b', 'Axle 9']);
    fireEvent.click(screen.getByRole('button', { name: 'seam' }));
    expect(seams()).toEqual(['Axle 9', 'Axle 10', 'below b', 'Lid']);
    expect(screen.getByRole('columnheader', { name: 'seam' }).getAttribute('aria-sort')).toBe('ascending');
    fireEvent.click(screen.getByRole('button', { name: 'seam' }));
    expect(seams()).toEqual(['Lid', 'Axle 10', 'below b', 'Axle 9']);
    expect(screen.getByRole('columnheader', { name: 'seam' }).getAttribute('aria-sort')).toBe('descending');
  });

  it('has no empty head: a column without a name is a cell there', () => {
    const tick: RecordColumn<Bead> = { id: 'tick', head: '', cell: () => 'x', always: true };
    show(
      <RecordTable
        label="Beads"
        keepAs="b"
        columns={[tick, ...columns]}
        rows={beads}
        idOf={({ id }) => id}
        onOlder={null}
      />,
    );
    expect(screen.getAllByRole('columnheader').map(({ textContent }) => textContent)).toEqual(['seam', 'leg']);
  });

  it('sorts figures as figures', () => {
    show(<Beads rows={beads} />);
    const head = screen.getByRole('button', { name: 'leg' });
    fireEvent.click(head);
    const first = seams()[0];
    fireEvent.click(head);
    expect(new Set([first, seams()[0]])).toEqual(new Set(['Axle 9', 'Axle 10']));
  });

  it('says that it sorts only what is shown while older rows wait, and takes them in their order', async () => {
    function Growing() {
      const [rows, setRows] = useState(beads);
      return <Beads rows={rows} onOlder={async () => setRows([...rows, bead('d', 'Bracket', 5)])} />;
    }
    show(<Growing />);
    expect(screen.queryByText(/Sorted among/)).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'seam' }));
    expect(screen.getByText('Sorted among the 3 rows shown')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: /older/i }));
    await waitFor(() => expect(seams()).toEqual(['Axle 9', 'Axle 10', 'below b', 'Bracket', 'Lid']));
  });

  it('hides a column and keeps that on the device; what a row is known by cannot be hidden', async () => {
    show(<Beads rows={beads} />);
    expect(screen.queryByLabelText('leg')).toBeNull();
    fireEvent.click(screen.getByText('Columns'));
    expect(await screen.findAllByRole('checkbox')).toHaveLength(1);
    fireEvent.click(screen.getByRole('checkbox', { name: 'leg' }));
    await waitFor(() => expect(screen.queryByRole('columnheader', { name: 'leg' })).toBeNull());
    cleanup();
    show(<Beads rows={beads} />);
    expect(screen.getAllByRole('columnheader')).toHaveLength(1);
  });

  it('does not draw a thousand rows at once', () => {
    show(<Beads rows={Array.from({ length: 1000 }, (_, at) => bead(`${at}`, `Seam ${at}`, at))} />);
    expect(seams().length).toBeLessThan(130);
  });
});
