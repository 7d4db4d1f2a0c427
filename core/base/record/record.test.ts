/** Names that every object knows are names like any other. */
import { describe, expect, it } from '@jest/globals';
import { planDay } from '../../day/plan/index.ts';
import { schedule } from '../../day/schedule/index.ts';
import { standsAt } from '../../machine/setup/index.ts';
import { own } from './index.ts';

const inherited = ['toString', 'constructor', 'hasOwnProperty', 'valueOf'];

describe('a record kept under people’s own names', () => {
  it.each(inherited)('has nothing under %s until it is put there', (name) => {
    expect(own({}, name)).toBeUndefined();
    expect(own({ [name]: 3 }, name)).toBe(3);
    expect(own(undefined, name)).toBeUndefined();
    expect(standsAt({}, name, 0)).toBe(false);
  });

  it.each(inherited)('plans a day on a machine called %s', (machine) => {
    const operations = [
      { id: 'a', minutes: 5, machines: [machine] },
      { id: machine, minutes: 5, machines: [machine] },
    ];
    const { order } = schedule({ operations, setupMinutes: {} });
    expect(own(order, machine)).toHaveLength(2);
    expect(planDay([], [], { [machine]: ['x'] }).bars).toEqual([]);
  });
});
