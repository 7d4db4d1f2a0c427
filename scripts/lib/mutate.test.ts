import { describe, expect, it } from '@jest/globals';
import { mutantsOf } from './mutate.ts';

const faults = (text: string) => mutantsOf('one.ts', text).map(({ was, now }) => `${was} ${now}`);

describe('faults put into a source', () => {
  it('turn operators, numbers and truths, one at a time', () => {
    expect(faults('export const f = (a: number) => a * 2 >= 0 && true;')).toEqual([
      '&& ||',
      '>= <',
      '* /',
      '2 (2 * 1.5)',
      '0 1',
      'true false',
    ]);
  });

  it('leave types, imports and joined texts alone', () => {
    expect(faults("import { a } from './a1.ts'; type T = 1 | 2; interface I { x: 3 } const s = 'b' + a;")).toEqual([]);
  });

  it('change their place and nothing else', () => {
    const text = 'const a = 1;\nconst b = a - 2;\n';
    const [, minus] = mutantsOf('one.ts', text);
    expect(minus).toMatchObject({ line: 2, was: '-', now: '+', text: 'const a = 1;\nconst b = a + 2;\n' });
  });
});
