/** The shop's record and its files. */
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen } from '@testing-library/react';
import type { Observation } from '@fox-tempo/contract';
import { when } from '../../testing/shop.ts';
import { resetSettings } from '../../testing/show.tsx';
import { openShop, page } from './open-shop.tsx';
import { observationLine } from '../../parts/record-words/index.ts';

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
beforeEach(resetSettings);
afterEach(cleanup);

describe('the record', () => {
  const row = (change: Partial<Observation>): Observation => ({
    id: 'a',
    row: 1,
    kind: 'lead-reading',
    at: when,
    deviceAt: null,
    recordedBy: 'Teo Varnholt',
    sentBy: null,
    weldedBy: null,
    machineId: 'rowan',
    seamId: null,
    revision: null,
    contentHash: null,
    corrects: null,
    body: { mOhm: 14.2, note: 'clean' },
    attachments: [],
    ...change,
  });

  it('is shown page by page, by kind', async () => {
    const { calls } = await openShop('/record', 'welder', {
      'GET /api/observations?limit=50': page([row({})], 'next='),
      'GET /api/observations?limit=50&cursor=next%3D': page([row({ id: 'b', weldedBy: 'Mirja Keskalo' })]),
      'GET /api/observations?limit=50&kind=issue': page([]),
    });
    expect(await screen.findByText('14.2 mΩ, clean')).toBeTruthy();
    press('Older ones');
    expect(await screen.findByText(/welded by Mirja Keskalo/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Older ones' })).toBeNull();
    fireEvent.change(screen.getByLabelText('Show'), { target: { value: 'issue' } });
    expect(await screen.findByText('Nothing of this kind was recorded yet.')).toBeTruthy();
    expect(calls.filter((call) => call.path.startsWith('/api/observations'))).toHaveLength(3);
  });

  it('says when it cannot be read', async () => {
    await openShop('/record', 'welder', { 'GET /api/observations?limit=50': new TypeError('gone') });
    expect((await screen.findByRole('alert')).textContent).toContain('The server does not answer');
  });

  it.each<[Observation['kind'], Record<string, unknown>, string]>([
    ['parts-done', { count: 3 }, '3 done'],
    ['parts-done', { count: -2 }, '2 taken back'],
    ['stock', { why: 'read anew', name: 'Mix 1', quantity: -120.4, unit: 'L' }, 'Mix 1, read anew: −120 L'],
    ['stock', { why: 'carried over' }, 'carried over'],
    ['slot-found', { slot: 4 }, 'slot 4'],
    ['standing', {}, 'entered again'],
    ['direction-test', { dialId: 'trim', result: 'reversed' }, 'trim: ran the other way'],
    ['step-time', { kind: 'liner', minutes: 12 }, 'Change the liner: 12 min'],
    ['burn-back-stop', { left: 'too-long', shape: 'big-ball', burnBackMs: 60 }, 'too long, big ball, at 60 ms'],
    ['calibration-points', { points: [1, 2] }, '2 points'],
    ['first-arc', { ticks: { a: true, b: false } }, '1 of 2 ticked'],
    ['lock', { locked: true, reason: 'approved' }, 'locked: approved'],
    ['issue', { reason: 'three passed' }, 'revision 2: three passed'],
    ['note', { text: 'hm' }, 'hm'],
    ['withdrawal', { why: 'a slip' }, 'a slip'],
  ])('says a %s in a line', (kind, body, line) => {
    expect(observationLine(row({ kind, body, revision: 2 }))).toBe(line);
  });
});

describe('files', () => {
  const bring = (content: string, name = 'a.tempo.json') => {
    const file = new File([content], name);
    file.text = () => Promise.resolve(content);
    fireEvent.change(screen.getByLabelText('File to import'), { target: { files: [file] } });
  };
  const rows = [
    { kind: 'seam', name: 'Hood', does: 'added', why: null },
    { kind: 'machine', name: 'Rowan', does: 'there already', why: null },
  ];

  it('are shown before anything is written, and then taken', async () => {
    const { calls } = await openShop('/files', 'lead', {
      'POST /api/shop/bundle': (body: { write: boolean }) => ({ written: body.write, rows }),
    });
    bring('{"format":"fox-tempo/shop"}');
    press(await screen.findByRole('button', { name: 'Import 1' }).then(() => 'Import 1'));
    expect((await screen.findByText(/Imported: 1/)).textContent).toContain('●');
    expect(
      calls.filter((call) => call.method === 'POST').map((call) => (call.body as { write: boolean }).write),
    ).toEqual([false, true]);
  });

  it('with a refusal in them are not taken', async () => {
    await openShop('/files', 'lead', {
      'POST /api/shop/bundle': {
        written: false,
        rows: [...rows, { kind: 'seam', name: 'Bad', does: 'refused', why: 'no part' }],
      },
    });
    bring('{}');
    expect(await screen.findByText(/refused: no part/)).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Import 1' }).disabled).toBe(true);
  });

  it('that are no JSON are not sent, and a welder only takes out', async () => {
    const { calls } = await openShop('/files', 'lead');
    bring('hello', 'notes.txt');
    expect((await screen.findByRole('alert')).textContent).toContain('notes.txt is not JSON');
    expect(calls.some((call) => call.method === 'POST')).toBe(false);
    cleanup();
    await openShop('/files', 'welder');
    expect(screen.getByText(/Changed by lead hand or owner/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Export the shop as a file' })).toBeTruthy();
  });
});
