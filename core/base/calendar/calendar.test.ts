import { describe, expect, it } from '@jest/globals';
import { dayIn, daysBetween } from './index.ts';

describe('days', () => {
  it('are those of the time zone asked about, on both sides of midnight', () => {
    const moment = new Date('2026-11-26T23:30:00Z');
    expect(dayIn('Etc/UTC', moment)).toBe('2026-11-26');
    expect(dayIn('Europe/Berlin', moment)).toBe('2026-11-27');
    expect(dayIn('America/St_Johns', moment)).toBe('2026-11-26');
  });

  it.each([
    ['2026-03-28', '2026-03-30', 2],
    ['2026-10-24', '2026-10-26', 2],
    ['2026-12-31', '2027-01-01', 1],
    ['2026-11-26', '2026-11-20', -6],
  ])('from %s to %s are %i, also over a change of the clock', (from, to, days) => {
    expect(daysBetween(from, to)).toBe(days);
  });
});
