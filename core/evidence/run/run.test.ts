import { describe, expect, it } from '@jest/globals';
import { programFromPlan } from '../../setting/program/index.ts';
import { translate } from '../../machine/dials/index.ts';
import { planSeam } from '../../setting/plan/index.ts';
import { rowan, scenarios } from '../../scenarios/index.ts';
import { neededSetup, type MachineState } from '../../machine/setup/index.ts';
import { notCounted, partsReady, taken, whyHeld, type Run } from './index.ts';

const { input } = scenarios.find(({ id }) => id === 'axle-plate-to-tube') ?? {};
const plan = input && planSeam(input);
if (!input || !plan?.ok) throw new Error('the scenario is gone');
const program = programFromPlan(input, plan.value);
const dials = Object.fromEntries(translate(rowan, program).dials.map(({ dialId, value }) => [dialId, value]));
const feederId = rowan.feeders[0]?.id ?? '';
const state: MachineState = {
  process: 'gas-metal',
  polarity: 'electrode-positive',
  feederId,
  feeders: { [feederId]: neededSetup(program) },
  dials,
};
const run = (change: Partial<Run> = {}) =>
  whyHeld({ machine: rowan, state, program, revision: 2, inForce: 2, order: null, ...change }).map(({ code }) => code);

describe('a production weld', () => {
  it('counts where everything agrees, and where nobody ever entered or issued anything', () => {
    expect(run()).toEqual([]);
    expect(run({ state: null, inForce: null })).toEqual([]);
  });

  it('is held by the spool that was read off, whatever was entered of the machine', () => {
    const other = { filler: 'stainless-308l' as const, diameterMm: 1 };
    expect(run({ spool: other })).toEqual(['wire']);
    // And the right label in hand overrules what somebody entered some day.
    const entered = { ...state, feeders: { [feederId]: { ...neededSetup(program), ...other } } };
    expect(run({ state: entered })).toContain('wire');
    expect(run({ state: entered, spool: program })).not.toContain('wire');
  });

  it('is held by another gas, another line, another revision than the one in force', () => {
    expect(run({ cylinder: { gas: 'C1' } })).toEqual(['gas']);
    const line = rowan.dials.find(({ scale }) => scale.kind === 'chart-line')?.id ?? '';
    expect(run({ state: { ...state, dials: { ...dials, [line]: 21 } } })).toContain('chart-line');
    expect(run({ inForce: 1 })).toEqual(['revision']);
  });

  it('is held by a dial found outside the window, and names it', () => {
    const window = { wireFeedMPerMin: [program.wireFeedMPerMin - 0.3, program.wireFeedMPerMin + 0.3] as const };
    const feed = translate(rowan, program).dials.find(({ quantity }) => quantity === 'wireFeedMPerMin');
    const at = (by: number) => ({ window, dials: { [feed?.dialId ?? '']: (feed?.value ?? 0) + by } });
    expect(run(at(0.2))).toEqual([]);
    const [held] = whyHeld({ machine: rowan, state, program, revision: 2, inForce: 2, order: null, ...at(0.8) });
    expect(held?.code).toBe('window');
    expect(JSON.stringify(held?.words)).toContain(feed?.label);
  });
});

describe('a weld for an order', () => {
  const order = { number: '2041', closed: false, quantity: 10, done: 8, ahead: 1 };
  it('counts while the order is open and short', () => expect(run({ order })).toEqual([]));
  it('is held where the order was closed, whatever is missing', () =>
    expect(run({ order: { ...order, closed: true } })).toEqual(['order-closed']));
  it('is held where it would be one more than was ordered', () =>
    expect(run({ order: { ...order, ahead: 2 } })).toEqual(['beyond-ordered']));
});

describe('parts counted at once', () => {
  const seam = (seamId: string, welded: number, counted: number, held = 0) => ({ seamId, welded, counted, held });
  it('count freely on an order none of whose welds was ever logged', () => {
    expect(notCounted([seam('a', 0, 0), seam('b', 0, 0)], 3)).toEqual([]);
  });
  it('wait for a held weld, and for one that was not logged, and name the seam', () => {
    expect(notCounted([seam('a', 4, 3), seam('b', 3, 3, 1)], 1)).toEqual([{ seamId: 'b', why: 'held', missing: 1 }]);
    expect(notCounted([seam('a', 4, 3), seam('b', 3, 3)], 2)).toEqual([
      { seamId: 'a', why: 'unlogged', missing: 1 },
      { seamId: 'b', why: 'unlogged', missing: 2 },
    ]);
    // Even where the held one is the only weld there is.
    expect(notCounted([seam('a', 0, 0, 1), seam('b', 0, 0)], 1).map(({ why }) => why)).toEqual(['held', 'unlogged']);
  });
  it('count where each weld is there, held ones beside them or not', () => {
    expect(notCounted([seam('a', 4, 3, 2), seam('b', 5, 3)], 1)).toEqual([]);
  });
});

describe('parts from seams', () => {
  const seams = [
    { seamId: 'a', welded: 3, counted: 1, held: 0 },
    { seamId: 'b', welded: 2, counted: 1, held: 0 },
  ];
  it('are as many as the seam that is furthest behind', () => {
    expect(partsReady(seams)).toBe(1);
    expect(partsReady([...seams, { seamId: 'c', welded: 0, counted: 0, held: 0 }])).toBe(0);
    expect(partsReady([])).toBe(0);
    expect(partsReady([{ seamId: 'a', welded: 1, counted: 2, held: 0 }])).toBe(0);
  });
  it('counted at once take what was logged, never more than they are', () => {
    expect(taken(seams, 1)).toEqual({ a: 1, b: 1 });
    expect(taken(seams, 5)).toEqual({ a: 2, b: 1 });
    expect(taken([{ seamId: 'a', welded: 1, counted: 1, held: 0 }], 1)).toEqual({});
  });
});
