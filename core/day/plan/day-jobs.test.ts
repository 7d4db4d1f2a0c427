import { describe, expect, it } from '@jest/globals';
import { steelPulse, steelTee } from '../../scenarios/index.ts';
import { settingOf, standardSite } from '../../site/index.ts';
import { bareJobs, dayJobs, type OrderedPart, type SetSeam } from './index.ts';

const setting = settingOf({ ...steelTee, thicknessesMm: [5, 5] }, { ...steelPulse, diameterMm: 1.2 }, standardSite);
if (!setting.ok) throw new Error('no setting');
const { program } = setting.value;

const today = '2026-03-10';
const order = (change: Partial<OrderedPart> = {}): OrderedPart => ({
  id: 'order',
  number: '2041',
  partId: 'frame',
  quantity: 12,
  done: 0,
  dueOn: today,
  closed: false,
  ...change,
});
const seam = (change: Partial<SetSeam> = {}): SetSeam => ({
  id: 'axle',
  partId: 'frame',
  spec: { name: 'Axle plate' },
  revision: { program, use: { arcSeconds: 30, passes: 1, wireKg: 0.02, gasL: 8 } },
  ...change,
});
const jobs = (change: Partial<OrderedPart>) => dayJobs([order(change)], [seam()], today);

describe('the day’s jobs', () => {
  it('are what is left of open orders, seam by seam, due at the end of their day’s shift', () => {
    const [one] = jobs({ quantity: 12, done: 5 });
    expect(one).toMatchObject({ seamId: 'axle', quantity: 7, dueMinute: 480, dueOn: today });
    expect(one?.arcMinutes).toBeGreaterThan(0);
    // Two days on is two shifts more.
    expect(jobs({ dueOn: '2026-03-12' })[0]?.dueMinute).toBe(3 * 480);
  });

  it('that were due before today are late from now on, however long ago', () => {
    expect(jobs({ dueOn: '2026-03-09' })[0]?.dueMinute).toBe(0);
    expect(jobs({ dueOn: '2020-01-01' })[0]?.dueMinute).toBe(0);
  });

  it('are none of what is closed, done, of another part or without a setting', () => {
    expect(jobs({ closed: true })).toEqual([]);
    expect(jobs({ quantity: 5, done: 5 })).toEqual([]);
    expect(dayJobs([order()], [seam({ partId: 'other' })], today)).toEqual([]);
    expect(dayJobs([order()], [seam({ revision: null })], today)).toEqual([]);
  });

  it('go to the core without the names people know them by', () => {
    expect(Object.keys(bareJobs(jobs({}))[0] ?? {})).not.toEqual(expect.arrayContaining(['name']));
  });
});
