import { describe, expect, it } from '@jest/globals';
import type { Issue } from '@fox-tempo/core/base/outcome';
import type { Soaked } from '@fox-tempo/core/weld/soak';
import { soakVerb } from './soak.ts';

const metal = { thicknessMm: 3, materialGroup: 'aluminium' };
const arc = { travelMmPerMin: 700, powerW: 1500, startAtS: 0 };
const answer = (value: unknown): Soaked => {
  const outcome = soakVerb.run(value);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.issues));
  return outcome.value as Soaked;
};
const issues = (value: unknown): Pick<Issue, 'path' | 'code'>[] => {
  const outcome = soakVerb.run(value);
  return outcome.ok ? [] : outcome.issues.map(({ path, code }) => ({ path, code }));
};

describe('the verb soak', () => {
  it('takes a plate, a box along its edges and a frame around its joints', () => {
    const plate = answer({
      plate: { ...metal, lengthMm: 400, widthMm: 200 },
      seams: [{ from: [20, 100], to: [380, 100], ...arc }],
      probes: [{ atMm: [200, 100], atS: 60 }],
    });
    const box = answer({
      box: { ...metal, lengthMm: 400, widthMm: 200, heightMm: 100 },
      seams: [
        { edge: 'base-front', ...arc },
        { edge: 'front-left', fromMm: 10, toMm: 60, ...arc, startAtS: 60 },
      ],
      probes: [{ atMm: [200, 50, 1], atS: 60 }],
    });
    const frame = answer({
      frame: { ...metal, lengthMm: 800, widthMm: 400, rungs: 1, tubeMm: [40, 40] },
      seams: [{ joint: 6, ...arc }],
    });
    expect(plate.probes[0]?.tempC).toBeGreaterThan(40);
    expect(box.seams).toHaveLength(2);
    // 50 mm of an upright edge at 700 mm/min.
    expect((box.seams[1]?.endAtS ?? 0) - (box.seams[1]?.startAtS ?? 0)).toBeCloseTo((50 / 700) * 60, 6);
    expect(box.probes[0]?.tempC).toBeGreaterThan(25);
    // All around the tube.
    expect(frame.seams[0]?.endAtS).toBeCloseTo((160 / 700) * 60, 6);
  });

  it('wants one part, of a size, and seams as that part takes them', () => {
    const seams = [{ from: [20, 100], to: [380, 100], ...arc }];
    const plate = { ...metal, lengthMm: 400, widthMm: 200 };
    const box = { ...plate, heightMm: 100 };
    expect(issues({ seams })).toEqual([{ path: 'plate', code: 'contradiction' }]);
    expect(issues({ plate, box, seams })).toEqual([{ path: 'plate', code: 'contradiction' }]);
    expect(issues({ plate: { ...plate, lengthMm: 0 }, seams })).toEqual([
      { path: 'plate.lengthMm', code: 'out-of-range' },
    ]);
    expect(issues({ box, seams })).toEqual([{ path: 'seams.0', code: 'contradiction' }]);
    expect(issues({ box, seams: [{ edge: 'lid-back', ...arc }] })).toEqual([
      { path: 'seams.0.edge', code: 'contradiction' },
    ]);
    expect(issues({ box, seams: [{ edge: 'front-left', toMm: 300, ...arc }] })).toEqual([
      { path: 'seams.0.toMm', code: 'out-of-range' },
    ]);
    const frame = { ...plate, tubeMm: [40, 40] };
    expect(issues({ frame, seams: [{ joint: 5, ...arc }] })).toEqual([{ path: 'seams.0.joint', code: 'out-of-range' }]);
    expect(issues({ plate, seams: [{ from: [20, 100], to: [500, 100], ...arc }] })).toEqual([
      { path: 'seams.0.to', code: 'out-of-range' },
    ]);
    expect(issues({ plate, seams, interpassC: 15 })).toEqual([{ path: 'interpassC', code: 'contradiction' }]);
  });
});
