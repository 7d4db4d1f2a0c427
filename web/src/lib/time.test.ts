import { beforeEach, describe, expect, it } from '@jest/globals';
import { signInAs } from '../testing/show.tsx';
import { session } from '../session/session.ts';
import { daysUntil, shopDay, shopTime } from './time.ts';

const inZone = (timeZone: string) => {
  signInAs('welder');
  const { state, take } = session.getState();
  take({ ...state!, shop: { ...state!.shop, timeZone } });
};
/** Half an hour before midnight in Greenwich. */
const late = new Date('2026-03-09T23:30:00Z');

describe('days of the shop', () => {
  beforeEach(() => inZone('Europe/Berlin'));

  it('begin and end in the shop’s own zone, wherever the screen stands', () => {
    expect(shopDay(late)).toBe('2026-03-10');
    inZone('America/Chicago');
    expect(shopDay(late)).toBe('2026-03-09');
  });

  it('are counted whole, across a change of the clocks too', () => {
    expect(daysUntil('2026-03-10', late)).toBe(0);
    expect(daysUntil('2026-03-09', late)).toBe(-1);
    // The clocks go forward in Berlin on 29 March 2026: that day has 23 hours.
    expect(daysUntil('2026-03-30', new Date('2026-03-28T12:00:00Z'))).toBe(2);
  });

  it('say a moment in the shop’s hour', () => {
    expect(shopTime(late.toISOString())).toMatch(/12:30|00:30/);
  });
});
