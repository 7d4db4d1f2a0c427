import { describe, expect, it } from '@jest/globals';
import type { SessionState } from '@fox-tempo/contract';
import { readersOf } from './readers.ts';

const person = (id: string, language: string | null, units: 'metric' | 'us' | null) =>
  ({ id, name: id, role: 'welder', hasPin: true, language, units }) as unknown as SessionState['people'][number];
const own = { language: 'en', units: 'metric' } as const;

describe('readers of a card', () => {
  it('are those who read otherwise than this page', () => {
    const people = [person('anna', 'pl', 'metric'), person('ben', null, null), person('cleo', 'en', 'us')];
    expect(readersOf(people, own).map(({ value, reader }) => [value, reader])).toEqual([
      ['anna', { language: 'pl', units: 'metric' }],
      ['cleo', { language: 'en', units: 'us' }],
    ]);
  });

  it('fall back to this page where their language has left the shop', () => {
    expect(readersOf([person('dag', 'fi', 'metric')], own)).toEqual([]);
    expect(readersOf([person('dag', 'fi', 'us')], own)[0]?.reader).toEqual({ language: 'en', units: 'us' });
  });
});
