import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, screen } from '@testing-library/react';
import type { Learned } from '@fox-tempo/contract';
import { answerFetch, choice, planned } from '../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';
import { OwnWelds } from './index.ts';

const nothing: Learned = { pace: null, trim: null, feed: null, nearest: [] };

async function open(learned: Partial<Learned>, change = {}) {
  answerFetch({ 'GET /api/seams/axle/learned?welder=someone&machine=rowan': { ...nothing, ...learned } });
  const onChoice = jest.fn();
  showRoutes(
    [
      {
        path: '/',
        Component: () => (
          <OwnWelds
            seamId="axle"
            machineId="rowan"
            choice={{ ...choice, ...change }}
            plan={planned()}
            isNew={false}
            onChoice={onChoice}
          />
        ),
      },
    ],
    '/',
  );
  await screen.findByRole('heading', { name: /welds/i });
  return onChoice;
}

beforeEach(resetSettings);
afterEach(cleanup);

const feed = {
  mean: -0.1,
  sd: 0.04,
  weight: 0.8,
  factor: 0.9,
  settings: 4,
  elsewhere: 2,
  ruleMPerMin: 8,
  startMPerMin: 7.2,
};
const pace = { mean: -0.2, sd: 0.05, weight: 0.7, factor: 0.82, seams: 5, elsewhere: 0 };

describe('what own welds say', () => {
  it('offers the wire that passed here against the rule’s, with what it stands on', async () => {
    const onChoice = await open({ feed });
    expect(
      await screen.findByText(/0\.90 × the usual 8\.0 m\/min \(4 settings, 2 in other positions, weight 80 %\)/),
    ).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Start from 7.2 m/min' }));
    expect(onChoice).toHaveBeenCalledWith({ wireFeedMPerMin: 7.2 });
  });

  it('says nothing of wire where nothing passed, or where it is the rule’s', async () => {
    await open({ feed: { ...feed, factor: 1.01 }, pace });
    expect(await screen.findByText(/0\.82/)).toBeTruthy();
    expect(screen.queryByText(/Wire that passed/)).toBeNull();
    cleanup();
    await open({ feed: { ...feed, settings: 0, elsewhere: 0 }, pace });
    expect(await screen.findByText(/0\.82/)).toBeTruthy();
    expect(screen.queryByText(/Wire that passed/)).toBeNull();
  });

  it('plans for the hand, and drops a feed that was chosen for the rule’s pace', async () => {
    const onChoice = await open({ pace });
    fireEvent.click(await screen.findByRole('button', { name: /^Plan for this welder/ }));
    expect(onChoice).toHaveBeenCalledWith({
      wireFeedMPerMin: null,
      pace: expect.objectContaining({ factor: 0.82, weight: 0.7, seams: 5 }),
    });
  });
});
