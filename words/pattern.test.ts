import { describe, expect, it } from '@jest/globals';
import { patternTrouble } from './pattern.ts';

const english = '{count, plural, one {# weld on {machine}} other {# welds on {machine}}}';

describe('a translation', () => {
  it('may order and inflect as it likes, with the forms its own numbers need', () => {
    expect(patternTrouble(english, 'Auf {machine}: {count, plural, one {# Naht} other {# Nähte}}', 'de')).toBeNull();
  });
  it('is refused with the values that it lacks and those that nobody gives it', () => {
    expect(patternTrouble(english, '{number} Nähte', 'de')).toEqual({
      code: 'values',
      missing: ['count', 'machine'],
      unknown: ['number'],
    });
  });
  it('is refused without a form of the language: Polish counts in four', () => {
    expect(patternTrouble(english, '{count, plural, one {# spoina} other {# spoin}}: {machine}', 'pl')).toEqual({
      code: 'plural',
      missing: ['few', 'many'],
    });
  });
  it('is refused when its brackets do not close', () => {
    expect(patternTrouble('{mass} of gas', '{mass de gas', 'es')?.code).toBe('unreadable');
  });
});
