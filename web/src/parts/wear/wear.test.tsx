import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen } from '@testing-library/react';
import type { WearRow } from '@fox-tempo/contract';
import { lifeOf, usualLife } from '@fox-tempo/core/machine/wear';
import { answerFetch, when } from '../../testing/shop.ts';
import { resetSettings, showRoutes, signInAs } from '../../testing/show.tsx';
import { GunWear, LookFirst } from './index.ts';

const row = (change: Partial<WearRow> = {}): WearRow => ({
  machineId: 'rowan',
  machineName: 'Rowan',
  feederId: 'one',
  feederLabel: 'Feeder',
  part: 'contact-tip',
  used: 251,
  life: lifeOf(usualLife['contact-tip'], []),
  due: 'due',
  since: null,
  by: null,
  ...change,
});
const liner = row({
  part: 'liner',
  used: 12.4,
  due: 'fine',
  life: { ...lifeOf(150, []), by: 'mean', n: 2 },
  since: when,
  by: 'Teo Varnholt',
});

async function open(parts: WearRow[]) {
  const answered = answerFetch({ 'GET /api/wear': { parts }, 'POST /api/observations': {} });
  showRoutes(
    [
      {
        path: '*',
        Component: () => (
          <>
            <LookFirst machineId="rowan" feederId="one" />
            <GunWear machineId="rowan" feederId="one" />
            <p>end</p>
          </>
        ),
        HydrateFallback: () => null,
      },
    ],
    '/',
  );
  await screen.findByText('end');
  return answered;
}

beforeEach(resetSettings);
afterEach(cleanup);

describe('what wears', () => {
  it('stands in its own unit with what it lasts and where that comes from', async () => {
    await open([row(), liner]);
    expect((await screen.findByText(/^251 min of about 240 min \(120 min to 480 min\)/)).textContent).toContain(
      'by rule, assumed',
    );
    expect(screen.getByText(/12\.4 kg of about 150\.0 kg/).textContent).toMatch(
      /from 2 replacements.*new since.*Teo Varnholt/,
    );
  });

  it('that is due is looked at first; what is fine, or on another gun, is not mentioned', async () => {
    await open([row(), liner]);
    expect((await screen.findByText(/Contact tip of this gun: 251 min of about 240 min/)).textContent).not.toContain(
      'Liner',
    );
    cleanup();
    await open([row({ feederId: 'two' }), liner]);
    await screen.findByText(/12\.4 kg/);
    expect(screen.queryByText(/Look at it first/)).toBeNull();
  });

  it('put in new is recorded with how the old one was, after the caution', async () => {
    const { calls } = await open([row()]);
    fireEvent.click(await screen.findByRole('button', { name: 'New Contact tip fitted' }));
    expect(screen.getByText(/Source off at its switch and gas closed first/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('The old one was'), { target: { value: 'still-good' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    await screen.findByText('end');
    expect(calls.find(({ method }) => method === 'POST')?.body).toMatchObject({
      kind: 'replaced',
      machineId: 'rowan',
      body: { feederId: 'one', part: 'contact-tip', reason: 'still-good' },
    });
  });

  it('is only looked at by the office', async () => {
    signInAs('office');
    await open([row()]);
    await screen.findByText(/^251 min/);
    expect(screen.queryByRole('button', { name: /^New/ })).toBeNull();
  });
});
