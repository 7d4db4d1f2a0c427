import { describe, expect, it } from '@jest/globals';
import type { DayPlan } from '@fox-tempo/core/day/plan';
import { alder, rowan, seam } from '../../testing/shop.ts';
import { letGo, placeAt, put, stepped, type Lane } from './move.ts';

const bar = (machineId: string, jobId: string, fromMinute: number) => ({
  machineId,
  jobId,
  setupMinutes: 0,
  fromMinute,
  toMinute: fromMinute + 60,
  lateMinutes: 0,
});
const plan: DayPlan = {
  bars: [bar('rowan', 'a', 0), bar('rowan', 'b', 60), bar('rowan', 'c', 120), bar('alder', 'd', 0)],
  setupMinutes: 0,
  lateMinutes: 0,
  cost: 0,
  bound: 0,
  provenBest: true,
  unplaced: [],
  halfDescribed: [],
};
const lanes: Lane[] = [rowan, alder];
const job = (id: string) => ({ id, program: seam().revision!.program, arcMinutes: 1, quantity: 1 });

describe('moving by hand', () => {
  it('holds what is moved and what stands before it, in their order', () => {
    expect(put(plan, {}, 'c', 'rowan', 1)).toEqual({ rowan: ['a', 'c'] });
    expect(put(plan, {}, 'c', 'alder', 1)).toEqual({ alder: ['d', 'c'] });
    expect(put(plan, {}, 'a', 'rowan', 0)).toEqual({ rowan: ['a'] });
  });

  it('keeps what was held behind it, and takes it from where it was held', () => {
    expect(put(plan, { rowan: ['a', 'b'], alder: ['d'] }, 'd', 'rowan', 0)).toEqual({ rowan: ['d', 'a', 'b'] });
    expect(letGo({ rowan: ['a'], alder: ['d'] }, 'a')).toEqual({ alder: ['d'] });
  });

  it('finds a place by the middles of the others', () => {
    expect(placeAt(plan, 'rowan', 'd', 29)).toBe(0);
    expect(placeAt(plan, 'rowan', 'd', 31)).toBe(1);
    expect(placeAt(plan, 'rowan', 'b', 200)).toBe(2);
  });

  it('steps by key until there is no further, and says which machine cannot', () => {
    expect(stepped(plan, lanes, job('b'), 'earlier')).toEqual({ machineId: 'rowan', at: 0 });
    expect(stepped(plan, lanes, job('c'), 'later')).toBeNull();
    expect(stepped(plan, lanes, job('a'), 'up')).toBeNull();
    const blind: Lane[] = [rowan, { id: 'alder', file: { ...alder.file, dials: [] } }];
    expect(stepped(plan, blind, job('a'), 'down')).toEqual({ machineId: 'alder', why: 'no-dials' });
  });
});
