import { describe, expect, it } from '@jest/globals';
import { offsetBeyond, withOffset } from './index.ts';

const program = { wireFeedMPerMin: 6, trimMm: -0.5, stiffness: 0, gas: 'I1' };
const window = { wireFeedMPerMin: [5.7, 6.3], trimMm: [-0.7, 0.1] } as const;

describe('an offset of one welder', () => {
  it('moves what it names, and nothing else', () => {
    expect(withOffset(program, { trimMm: 0.3 })).toEqual({ ...program, trimMm: -0.2 });
  });
  it('stays inside the window at its very end, and is named beyond it', () => {
    expect(offsetBeyond(program, { trimMm: 0.6, wireFeedMPerMin: -0.3 }, window)).toEqual([]);
    expect(offsetBeyond(program, { trimMm: 0.7 }, window)).toEqual([
      { quantity: 'trimMm', value: expect.closeTo(0.2, 9), range: window.trimMm },
    ]);
  });
  it('may not move what the window is silent about', () => {
    expect(offsetBeyond(program, { stiffness: 1 }, window).map(({ quantity }) => quantity)).toEqual(['stiffness']);
  });
});
