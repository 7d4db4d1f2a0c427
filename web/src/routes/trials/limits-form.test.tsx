import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import type { SeamResource } from '@fox-tempo/contract';
import { usualLimits } from '@fox-tempo/core/evidence/trial';
import { answerFetch, seam, when } from '../../testing/shop.ts';
import { resetSettings, showRoutes, signInAs } from '../../testing/show.tsx';
import { LimitsForm } from './limits-form.tsx';

const at = (level: 'B' | 'C' | 'D') =>
  usualLimits(level, { isFillet: true, thicknessMm: 3, legMm: 4, back: 'none', rootFusion: false });
const limits = at('C');
const written = { number: 2, by: 'Ilse Brandokor', at: when, reason: 'as agreed' };
const issued = seam({
  limits,
  limitsWritten: written,
  issued: [{ revision: 1, machineId: 'rowan', reason: 'three passed', by: 'Ilse Brandokor', at: when }],
});

function open(of: SeamResource) {
  const onSaved = jest.fn();
  const { calls } = answerFetch({
    'PUT /api/seams/axle/limits': of,
    'GET /api/seams/axle/limits': [
      { ...written, number: 1, reason: '', limits: at('B') },
      { ...written, limits },
    ],
  });
  showRoutes(
    [{ path: '/', Component: () => <LimitsForm seam={of} limits={limits} presetOf={at} onSaved={onSaved} /> }],
    '/',
  );
  return { onSaved, sent: () => calls.find(({ method }) => method === 'PUT')?.body };
}
const button = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Write the limits on the seam' });
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

beforeEach(resetSettings);
afterEach(cleanup);

describe('limits of a reference', () => {
  it('are tightened by a welder and not loosened', async () => {
    signInAs('welder');
    const { sent } = open(issued);
    type('Worst spatter, 0 to 4', '4');
    expect(button().disabled).toBe(true);
    expect(screen.getByText(/only a lead hand lets more pass/)).toBeTruthy();
    type('Worst spatter, 0 to 4', '1');
    expect(button().disabled).toBe(false);
    fireEvent.click(button());
    await waitFor(() => expect(sent()).toEqual({ limits: { ...limits, spatter: 1 }, reason: '' }));
  });

  it('are loosened by a lead hand who says why', async () => {
    const { sent } = open(issued);
    type('Worst spatter, 0 to 4', '3');
    expect(button().disabled).toBe(true);
    type('Why more may pass from now on', 'inside of a box, never seen');
    fireEvent.click(button());
    await waitFor(() =>
      expect(sent()).toEqual({ limits: { ...limits, spatter: 3 }, reason: 'inside of a box, never seen' }),
    );
  });

  it('show every writing with who, when and why', async () => {
    open(issued);
    const list = await screen.findByRole('list', { name: 'Limits as they were written' });
    await waitFor(() => expect(list.children).toHaveLength(2));
    expect(list.children[0]?.textContent).toMatch(/^Limits 2, level C, Ilse Brandokor, .*: as agreed$/);
    expect(list.children[1]?.textContent).toMatch(/^Limits 1, level B/);
  });
});

describe('limits that nobody wrote', () => {
  it('say so, and are written by a welder while nothing is issued', async () => {
    signInAs('welder');
    const { sent } = open(seam());
    expect(screen.getByText(/Nobody has written these limits yet/)).toBeTruthy();
    type('Worst spatter, 0 to 4', '4');
    expect(button().disabled).toBe(false);
    fireEvent.click(button());
    await waitFor(() => expect(sent()).toMatchObject({ limits: { spatter: 4 } }));
  });
});
