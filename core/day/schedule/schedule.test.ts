import { describe, expect, it } from '@jest/globals';
import loadHighs from 'highs';
import { costsOf, mixedInteger, problemOf, programOf, proofBy, schedule, type ScheduleInput } from './index.ts';
import { treeBound } from './arborescence.ts';
import { randomShop } from './random-shop.ts';

/** Every order there is, without any cut: slow, and for that believed. */
function everyOrder(input: ScheduleInput): number {
  const problem = problemOf(input);
  let best = Number.POSITIVE_INFINITY;
  const order: number[][] = problem.machines.map(() => []);
  const go = (next: number): void => {
    if (next === input.operations.length) {
      best = Math.min(best, costsOf(problem, order).cost);
      return;
    }
    for (const machine of problem.allowed[next] ?? []) {
      const list = order[machine] ?? [];
      for (let at = 0; at <= list.length; at++) {
        list.splice(at, 0, next);
        go(next + 1);
        list.splice(at, 1);
      }
    }
  };
  go(0);
  return best;
}

describe('a schedule', () => {
  it.each([1, 2, 3, 4])('of six on two machines is the best of all orders (seed %i)', (seed) => {
    const input = randomShop(6, 2, seed);
    const found = schedule(input);
    expect(found.provenBest).toBe(true);
    expect(found.cost).toBeCloseTo(everyOrder(input), 9);
    expect(found.bound).toBe(found.cost);
  });

  it('adds up: the cost is set-up and twice the minutes late, of every operation once', () => {
    const input = randomShop(8, 3, 7);
    const found = schedule(input);
    expect(found.cost).toBeCloseTo(found.setupMinutes + 2 * found.lateMinutes, 9);
    expect(Object.values(found.order).flat().sort()).toEqual(input.operations.map(({ id }) => id).sort());
    for (const [machine, ids] of Object.entries(found.order))
      for (const id of ids) expect(input.operations.find((one) => one.id === id)?.machines).toContain(machine);
  });

  it.each([11, 12])(
    'of thirty on three machines never costs less than its bound, and the same twice (seed %i)',
    (seed) => {
      const input = randomShop(30, 3, seed);
      const found = schedule(input);
      expect(found.cost).toBeGreaterThanOrEqual(found.bound);
      expect(schedule(input)).toEqual(found);
    },
  );

  it('keeps what was put first by hand', () => {
    const input = randomShop(7, 2, 5);
    const fixed = { m0: ['o3', 'o1'] };
    const found = schedule({ ...input, fixed });
    expect(found.order['m0']?.slice(0, 2)).toEqual(['o3', 'o1']);
    expect(found.cost).toBeGreaterThanOrEqual(schedule(input).cost - 1e-9);
  });

  it('does what is due first when nothing else differs', () => {
    const found = schedule({
      operations: [
        { id: 'late', minutes: 30, machines: ['m'] },
        { id: 'soon', minutes: 30, dueMinute: 30, machines: ['m'] },
      ],
      setupMinutes: {},
    });
    expect(found.order['m']).toEqual(['soon', 'late']);
    expect(found.cost).toBe(0);
  });
});

describe('the tree of changeovers', () => {
  it.each([21, 22, 23, 24])('costs no more than the best of every order (seed %i)', (seed) => {
    const input = randomShop(5, 2, seed);
    const bound = treeBound(problemOf(input));
    expect(bound).toBeLessThanOrEqual(everyOrder(input) + 1e-9);
    expect(bound).toBeGreaterThan(0);
    const held = { ...input, fixed: { m0: ['o2'] } };
    expect(treeBound(problemOf(held))).toBeLessThanOrEqual(schedule(held).cost + 1e-9);
  });

  it('proves a day of many pieces of few wires, where nothing could be enumerated', () => {
    // Thirty operations of three wires: twelve minutes between wires, none within one; the machine stands on the first.
    const ids = Array.from({ length: 30 }, (_, at) => `o${at}`);
    const change = (from: number, to: number) => (from % 3 === to % 3 ? 0 : 12);
    const rows = Object.fromEntries(
      ids.map((from, a) => [from, Object.fromEntries(ids.map((to, b) => [to, change(a, b)]))]),
    );
    const found = schedule({
      operations: ids.map((id) => ({ id, minutes: 10, machines: ['m'] })),
      setupMinutes: { m: { ...rows, start: Object.fromEntries(ids.map((to, b) => [to, change(0, b)])) } },
    });
    expect(found).toMatchObject({ cost: 24, bound: 24, provenBest: true });
  });
});

describe('a solver from elsewhere', () => {
  // HiGHS on the mixed-integer program: another model, another search.
  it.each([
    [6, 2, 11],
    [6, 2, 12],
    [8, 3, 13],
  ])(
    'of %i operations on %i machines finds nothing cheaper (seed %i)',
    async (operations, machines, seed) => {
      const input = randomShop(operations, machines, seed);
      const found = schedule(input);
      const highs = await loadHighs();
      const solved = highs.solve(mixedInteger(problemOf(input)), { time_limit: 40, mip_rel_gap: 1e-9 });
      // Stopped by the clock it still has a plan, which ours must not lose to.
      expect(found.cost).toBeLessThanOrEqual(solved.ObjectiveValue + 1e-6);
      if (solved.Status === 'Optimal') expect(found.cost).toBeCloseTo(solved.ObjectiveValue, 6);
    },
    120_000,
  );

  it('keeps what a hand put first, gives a bound and the order it found', async () => {
    const input = { ...randomShop(6, 2, 14), fixed: { m0: ['o3', 'o1'] } };
    const found = schedule(input);
    const highs = await loadHighs();
    const solved = highs.solve(programOf(input), { time_limit: 40, mip_rel_gap: 1e-9 });
    expect(solved.Status).toBe('Optimal');
    expect(found.cost).toBeCloseTo(solved.ObjectiveValue, 6);
    const columns = Object.fromEntries(
      Object.entries(solved.Columns).map(([name, column]) => [name, 'Primal' in column ? column.Primal : 0]),
    );
    const known = { ...found, bound: 0 };
    expect(proofBy(input, known, { bound: solved.ObjectiveValue, columns })).toMatchObject({
      provenBest: true,
      better: null,
    });
    // Against a plan that is worse its order is the better one, whole and under its own cost.
    const worse = {
      setupMinutes: found.setupMinutes + 9,
      lateMinutes: found.lateMinutes,
      cost: found.cost + 9,
      bound: 0,
    };
    const proof = proofBy(input, worse, { bound: solved.ObjectiveValue - 1, columns });
    expect(proof.better?.cost).toBeCloseTo(found.cost, 6);
    expect(proof.better?.order['m0']?.slice(0, 2)).toEqual(['o3', 'o1']);
    expect(
      Object.values(proof.better?.order ?? {})
        .flat()
        .sort(),
    ).toEqual(['o0', 'o1', 'o2', 'o3', 'o4', 'o5']);
    expect(proof).toMatchObject({ provenBest: false, bound: solved.ObjectiveValue - 1 });
    // Stopped before it had anything it says nothing.
    expect(proofBy(input, known, { bound: Number.NEGATIVE_INFINITY, columns: null })).toEqual({
      bound: 0,
      provenBest: found.cost === 0,
      better: null,
    });
  }, 120_000);
});
