import { describe, expect, it } from '@jest/globals';
import { parseWith, type Id, type ParamsOf } from './index.ts';
import { seamMove } from './resources/seams.ts';

describe('ids', () => {
  it('know whose they are: the compiler refuses a seam’s where a machine’s is asked for', () => {
    const seam: Id<'seam'> = 'frame-rail';
    const typed: string = 'rowan';
    const machine: Id<'machine'> = typed;
    // @ts-expect-error -- the id of another noun
    const wrong: Id<'machine'> = seam;
    const params: ParamsOf<'seam'> = { id: seam };
    // @ts-expect-error -- the address of a seam takes no machine
    const mixed: ParamsOf<'seam'> = { id: machine };
    expect([wrong, params.id, mixed.id]).toEqual(['frame-rail', 'frame-rail', 'rowan']);
  });

  it('are checked as texts where they come in', () => {
    expect(parseWith(seamMove, { partId: 'market-cart' })).toEqual({ ok: true, value: { partId: 'market-cart' } });
    expect(parseWith(seamMove, { partId: 'Market cart' }).ok).toBe(false);
  });
});
