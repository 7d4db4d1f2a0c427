import { beforeEach, describe, expect, it } from '@jest/globals';
import { seam } from '../testing/shop.ts';
import { assumable, assumedOf, forgetGiven, give, givenOf } from './assumed.ts';
import { sheetOf } from './sheet.ts';
import { followMetal } from './wire-defaults.ts';

const fresh = seam({ id: 'new', revision: null, choice: null });
beforeEach(() => localStorage.clear());

describe('what a new seam only assumes', () => {
  it('is everything that nobody said, until a setting is saved', () => {
    expect(assumedOf(fresh, sheetOf(fresh), [])).toEqual([...assumable]);
    expect(assumedOf(seam(), sheetOf(seam()), [])).toEqual([]);
  });

  it('is less by what is confirmed or changed', () => {
    const sheet = sheetOf(fresh);
    const turned = { ...sheet, spec: { ...sheet.spec, position: 'PF' as const } };
    expect(assumedOf(fresh, turned, ['gas'])).toEqual(['lengthMm', 'gapMm', 'wire']);
    const thicker = { ...sheet, choice: { ...sheet.choice, diameterMm: sheet.choice.diameterMm + 0.2 } };
    expect(assumedOf(fresh, thicker, [])).not.toContain('wire');
  });

  it('is still assumed where it followed a changed metal by itself', () => {
    const sheet = sheetOf(fresh);
    const choice = followMetal(sheet.choice, 'aluminium', '');
    const other = { spec: { ...sheet.spec, materialGroup: 'aluminium' as const }, choice };
    expect(choice.filler).not.toBe(sheet.choice.filler);
    expect(assumedOf(fresh, other, [])).toEqual([...assumable]);
  });

  it('remembers on the device what was said, each once, until it is saved', () => {
    give('new', ['lengthMm']);
    give('new', ['lengthMm', 'gas']);
    expect(givenOf('new')).toEqual(['lengthMm', 'gas']);
    expect(givenOf('other')).toEqual([]);
    forgetGiven('new');
    expect(givenOf('new')).toEqual([]);
  });
});
