import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { simulate, type SimulationInput } from '@fox-tempo/core/weld/simulation';
import { act, cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { program } from '../../testing/shop.ts';
import { resetSettings, show } from '../../testing/show.tsx';

const asked: { input: SimulationInput; signal: AbortSignal }[] = [];
let answer: (input: SimulationInput, onProgress: (share: number) => void) => Promise<unknown>;
jest.unstable_mockModule('../../workers/arc-client.ts', () => ({
  simulateArc: (input: SimulationInput, options: { signal: AbortSignal; onProgress: (share: number) => void }) => {
    asked.push({ input, signal: options.signal });
    return answer(input, options.onProgress);
  },
}));
const { SimulatedArc } = await import('./index.ts');

beforeEach(() => {
  resetSettings();
  asked.length = 0;
});
afterEach(cleanup);

describe('the simulated arc on the sheet', () => {
  it('says how far it is, then what the arc does in words and numbers', async () => {
    answer = async (input, onProgress) => {
      act(() => onProgress(0.4));
      return Promise.resolve(simulate({ ...input, seconds: 0.2 }));
    };
    show(<SimulatedArc program={program()} circuitMOhm={15} />);
    expect(await screen.findByText('Drops per pulse')).toBeTruthy();
    expect(screen.getByText(/steady hum/)).toBeTruthy();
    expect(asked[0]!.input.seconds).toBe(1);
  });

  it('gives up the arc of a setting that has moved on', async () => {
    answer = () => new Promise(() => undefined);
    const { unmount } = show(<SimulatedArc program={program()} circuitMOhm={15} />);
    expect(await screen.findByText(/Simulating one second of arc… 0 %/)).toBeTruthy();
    await waitFor(() => expect(asked).toHaveLength(1));
    unmount();
    expect(asked[0]!.signal.aborted).toBe(true);
  });

  it('says why there is none, and runs it again', async () => {
    answer = () => Promise.resolve({ ok: false, issues: [{ path: '', code: 'worker-died', message: 'It stopped.' }] });
    show(<SimulatedArc program={program()} circuitMOhm={15} />);
    expect(await screen.findByText(/It stopped\./)).toBeTruthy();
    answer = (input) => Promise.resolve(simulate({ ...input, seconds: 0.1 }));
    fireEvent.click(screen.getByRole('button', { name: 'Run it again' }));
    expect(await screen.findByText('Drops per pulse')).toBeTruthy();
  });
});
