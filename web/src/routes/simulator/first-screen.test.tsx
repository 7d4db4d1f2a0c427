/** Gauges, drawers and the swept dial: what stands on the bench's first screen beside picture and map. */
import { inEnglish } from '@fox-tempo/words/english';
import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { simulationOf } from '@fox-tempo/core/machine/dials';
import { simulate } from '@fox-tempo/core/weld/simulation';
import type { Cell } from '@fox-tempo/core/weld/zone-map';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { planned, program, rowan } from '../../testing/shop.ts';
import { resetSettings, show } from '../../testing/show.tsx';
import type { Setting } from './use-setting.ts';

type SweepOptions = { onCells: (cells: readonly (Cell | null)[]) => void };
const swept = jest.fn<(programs: readonly unknown[], how: unknown, options: SweepOptions) => Promise<unknown>>();
jest.unstable_mockModule('../../workers/map-pool.ts', () => ({ mapPool: { sweep: swept } }));
const { Drawers } = await import('./drawers.tsx');
const { Gauges } = await import('./gauges.tsx');
const { SweepPanel } = await import('./sweep-panel.tsx');

const input = simulationOf(program(), { circuitMOhm: 15, seconds: 0.3, seed: 7 });
const simulation = simulate(input);
if (!simulation.ok) throw new Error(inEnglish(simulation.issues[0]?.message));
const run = { simulation: simulation.value, input, seeds: [simulation.value.metrics] };

beforeEach(resetSettings);
afterEach(cleanup);

describe('the figures a welder steers by', () => {
  const open = (ghost: typeof run.simulation.metrics | null = null) =>
    show(<Gauges run={run} ghost={ghost} program={program()} plan={planned()} />);
  const gauge = (name: RegExp) =>
    within(screen.getByRole('region', { name: 'In numbers' })).getByRole('button', { name });

  it('are what is heard, arc, current, volts, pulse, shorts and the back, with their units', () => {
    open();
    expect(screen.getAllByRole('button')).toHaveLength(7);
    expect(gauge(/^Heard/).textContent).toContain('hum');
    expect(gauge(/^Mean current/).textContent).toMatch(/\d+A/);
    expect(gauge(/^Arc length/).textContent).toMatch(/\d\.\dmm/);
    expect(gauge(/^Short circuits per second/).textContent).toContain('0');
    expect(gauge(/^At the back/).textContent).toMatch(/index 0\.\d\d ± 30 %/);
  });

  it('say the sum behind them when asked, one at a time', () => {
    open();
    fireEvent.click(gauge(/^At the back/));
    expect(screen.getByRole('note').textContent).toMatch(/reach into the plate over its thickness, \d\.\d mm/);
    fireEvent.click(gauge(/^Mean current/));
    expect(screen.getByRole('note').textContent).toContain('mean of i');
    fireEvent.click(gauge(/^Mean current/));
    expect(screen.queryByRole('note')).toBeNull();
  });

  it('stand beside what is held', () => {
    open({ ...run.simulation.metrics, meanCurrentA: 99 });
    expect(gauge(/^Mean current/).textContent).toContain('held 99');
  });
});

describe('the drawers', () => {
  const drawers = ['Dials', 'What if', 'Map in words'].map((name) => ({
    id: name.toLowerCase().replaceAll(' ', '-'),
    name,
    content: () => <p>{`${name} open`}</p>,
  }));

  it('show one thing in one place, go along by arrows, and keep what was open', () => {
    show(<Drawers drawers={drawers} />);
    expect(screen.getByText('Dials open')).toBeTruthy();
    fireEvent.keyDown(screen.getByRole('tab', { name: 'Dials' }), { key: 'ArrowRight' });
    expect(screen.getByText('What if open')).toBeTruthy();
    expect(screen.queryByText('Dials open')).toBeNull();
    expect(document.activeElement).toBe(screen.getByRole('tab', { name: 'What if' }));
    fireEvent.keyDown(screen.getByRole('tab', { name: 'What if' }), { key: 'End' });
    cleanup();
    show(<Drawers drawers={drawers} />);
    expect(screen.getByText('Map in words open')).toBeTruthy();
    expect(screen.getByRole('tab', { name: 'Map in words' }).getAttribute('aria-selected')).toBe('true');
  });

  it('fall back on the first where the one kept is not there', () => {
    localStorage.setItem('fox-tempo/form/bench-drawer', '{"open":"beat"}');
    show(<Drawers drawers={drawers} />);
    expect(screen.getByText('Dials open')).toBeTruthy();
  });
});

describe('one dial swept', () => {
  const cell = (zone: Cell['zone']): Cell => ({
    zone,
    shortsPerS: zone === 'crackle' ? 40 : 0,
    dropsPerPulse: 1,
    arcLengthMm: 2,
  });
  const open = (move: Setting['move'], machine: typeof rowan.file | undefined = rowan.file) =>
    show(
      <SweepPanel
        setting={{ move } as Setting}
        machine={machine}
        program={program()}
        circuitMOhm={15}
        correction={null}
      />,
    );

  it('names what is heard at each stop as it comes, marks where it stands, and takes a stop', async () => {
    swept.mockImplementation((programs, _how, { onCells }) => {
      onCells(programs.map((_, at) => (at < 3 ? cell('crackle') : cell('hum'))));
      return Promise.resolve({ ok: true, value: null });
    });
    const move = jest.fn<Setting['move']>();
    open(move);
    const stops = within(screen.getByRole('list', { name: 'Arc index swept' })).getAllByRole('listitem');
    expect((await screen.findAllByText(/crackle/)).length).toBe(3);
    expect(stops[0]!.textContent).toContain('40/s');
    const here = stops.filter((stop) => stop.querySelector('[aria-current=true]'));
    expect(here).toHaveLength(1);
    fireEvent.click(within(stops[0]!).getByRole('button'));
    expect(move.mock.calls[0]?.[0]).toBe('trimMm');
    expect(move.mock.calls[0]?.[1]).toBeLessThan(-2);
  });

  it('says why where it could not be run, and where there is no dial', async () => {
    swept.mockResolvedValue({ ok: false, issues: [{ path: '', code: 'worker-died', message: 'The map stopped.' }] });
    open(jest.fn<Setting['move']>());
    expect(await screen.findByText(/The map stopped\./)).toBeTruthy();
    cleanup();
    open(jest.fn<Setting['move']>(), { ...rowan.file, dials: [] });
    expect(screen.getByText(/Rowan has no dial for it that can be swept/)).toBeTruthy();
  });
});
