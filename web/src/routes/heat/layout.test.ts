import { describe, expect, it } from '@jest/globals';
import { planned, spec } from '../../testing/shop.ts';
import { inputOf, linesOf, readingPlace, seamCount, shapeOf, troubleWith, usualLayout, type Layout } from './layout.ts';

const usual = usualLayout(300);
const as = (change: Partial<Layout>): Layout => ({ ...usual, ...change });

describe('a part laid out', () => {
  it('begins as a plate that holds the seam, four times, with nothing wrong', () => {
    expect(usual).toMatchObject({ kind: 'plate', lengthMm: 340 });
    expect(seamCount(usual)).toBe(4);
    for (const kind of ['plate', 'box', 'frame'] as const) expect(troubleWith(as({ kind }), spec)).toBeNull();
  });

  it('welds an edge from end to end unless it is said otherwise, and a joint all around its tube', () => {
    const box = as({ kind: 'box', edges: [{ edge: 'base-left', fromMm: 10, toMm: null }] });
    expect(linesOf(box, shapeOf(box, spec))).toEqual([{ from: [0, 10, 0], to: [0, 240, 0] }]);
    const frame = as({ kind: 'frame', joints: [0], tubeWidthMm: 40, tubeHeightMm: 60 });
    expect(linesOf(frame, shapeOf(frame, spec))[0]).toMatchObject({ lengthMm: 200 });
  });

  it('puts the plan’s own power into it, as a thermometer says', () => {
    const plan = planned();
    const [one] = inputOf(usual, spec, plan, 1).seams;
    const [more] = inputOf(usual, spec, plan, 1.3).seams;
    expect(one?.powerW).toBeCloseTo((plan.heatInputKjPerMm * 1000 * plan.travelMmPerMin) / 60, 9);
    expect((more?.powerW ?? 0) / (one?.powerW ?? 1)).toBeCloseTo(1.3, 9);
    expect(inputOf(as({ interpassC: null }), spec, plan, 1).interpassC).toBeUndefined();
  });

  it('reads a thermometer on the face or at the joint that was named', () => {
    const reading = { xMm: 5, yMm: 7, on: 1, atS: 0, tempC: 20 };
    const place = (kind: Layout['kind']) => readingPlace(reading, shapeOf(as({ kind }), spec));
    expect(place('plate')).toEqual([5, 7]);
    expect(place('box')).toEqual([5, 7, 1]);
    // The second corner: the far end of the first bar along.
    expect(place('frame')[0]).toBeGreaterThan(0);
  });

  it.each([
    [{ interpassC: 21 }, /never reached/],
    [{ seams: [[0, 0, 2, 0]] }, /has no length/],
    [{ seams: [[0, 0, 900, 0]] }, /is off the plate/],
    [{ kind: 'box', edges: [{ edge: 'lid-left', fromMm: 0, toMm: null }] }, /without a lid/],
    [{ kind: 'box', edges: [{ edge: 'front-left', fromMm: 0, toMm: 500 }] }, /goes beyond its edge/],
    [{ kind: 'frame', joints: [9] }, /this frame does not have; it has 6/],
    [{ kind: 'frame', tubeWidthMm: 8 }, /leave no hollow/],
  ] as [Partial<Layout>, RegExp][])('names what cannot be: %j', (change, words) => {
    expect(troubleWith(as(change), { ...spec, thicknessesMm: [4, 4] })).toMatch(words);
  });
});
