import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { usualLimits, type AcceptanceLimits } from './limits.ts';
import { loosened } from './loosened.ts';

const limitsAt = (level: 'B' | 'C' | 'D'): AcceptanceLimits =>
  usualLimits(level, { isFillet: true, thicknessMm: 3, legMm: 4, back: 'none', rootFusion: true });
const b = limitsAt('B');

describe('limits that let more pass', () => {
  it('are none where nothing changed, or everything became stricter', () => {
    expect(loosened(b, b)).toEqual([]);
    expect(loosened(limitsAt('C'), { ...b, level: 'B' })).toEqual([]);
  });
  it.each([
    ['a smaller least leg', { legMm: { least: (b.legMm?.least ?? 0) - 0.2, most: b.legMm?.most ?? null } }, 'legMm'],
    ['no most leg any more', { legMm: { least: b.legMm?.least ?? 0, most: null } }, 'legMm'],
    ['a throat that is not asked for', { throatMm: null }, 'throatMm'],
    ['a height that may be any', { heightMm: null }, 'heightMm'],
    ['a deeper undercut', { undercutMm: b.undercutMm + 0.1 }, 'undercutMm'],
    ['a back that may come through', { back: 'allowed' as const }, 'back'],
    ['more spatter', { spatter: b.spatter + 1 }, 'spatter'],
    ['a root that is not proved', { rootFusion: false }, 'rootFusion'],
    ['what is not measured passing', { isCritical: false }, 'isCritical'],
  ])('are named: %s', (_what, change, name) => {
    expect(loosened(b, { ...b, ...change })).toEqual([name]);
  });
  it('are never the same both ways: what loosens one way tightens the other', () => {
    const figure = fc.option(fc.integer({ min: 0, max: 50 }), { nil: null });
    fc.assert(
      fc.property(figure, figure, (before, after) => {
        const at = (heightMm: number | null) => ({ ...b, heightMm });
        const there = loosened(at(before), at(after)).length;
        const back = loosened(at(after), at(before)).length;
        expect(there + back).toBe(before === after ? 0 : 1);
      }),
    );
  });
});
