import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import Papa from 'papaparse';
import { csvOf } from './csv.ts';

describe('a CSV that leaves', () => {
  it('comes back as it was, by another program’s reader', () => {
    const text = fc.string({ minLength: 1 }).filter((one) => !/^['=+\-@\t\r]/.test(one) && one.trim() === one);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(text, fc.double({ noNaN: true, noDefaultInfinity: true })), { minLength: 1 }),
        (rows) => {
          const back = Papa.parse<string[]>(csvOf(['note', 'figure'], rows), { delimiter: ',', newline: '\r\n' }).data;
          expect(back.slice(1, -1)).toEqual(rows.map(([note, figure]) => [note, String(figure)]));
        },
      ),
    );
  });

  it.each(['=1+1', '+cmd', '-2+3', '@sum', '\tx', '=HYPERLINK("http://x")'])(
    'never lets %s run as a formula',
    (note) => {
      const [, line = ''] = csvOf(['note'], [[note]]).split('\r\n');
      expect(line.replace(/^"/, '').startsWith("'")).toBe(true);
    },
  );

  it('leaves figures alone, negative ones too', () => {
    expect(csvOf(['a', 'b'], [['-1.5', -2e-7]])).toBe('a,b\r\n-1.5,-2e-7\r\n');
  });
});
