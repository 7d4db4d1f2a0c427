import { describe, expect, it } from '@jest/globals';
import {
  bestOrder,
  inOrder,
  plateField,
  readingAgainst,
  soak,
  tapLevels,
  type Plate,
  type SoakInput,
} from './index.ts';

// The design's case: sheet 400 x 120 x 3 mm, two seams.
const plate: Plate = {
  lengthMm: 400,
  widthMm: 120,
  thicknessMm: 3,
  diffusivityMm2PerS: 65,
  volumetricHeatJPerMm3K: 2.8e-3,
  lossWPerM2K: 0,
};
const seams = [
  { from: [0, 60], to: [400, 60], travelMmPerMin: 750, powerW: 1689, startAtS: 0 },
  { from: [400, 90], to: [0, 90], travelMmPerMin: 750, powerW: 1689, startAtS: 92 },
] as const;
const base: SoakInput = { part: { kind: 'plate', ...plate }, seams, ambientC: 0, meltsAtC: 640 };

describe('heat in a plate', () => {
  it.each([
    [200, 60, 92, 133.6],
    [394, 90, 92, 140.3],
    [200, 20, 124, 189.1],
    [50, 90, 200, 273.4],
    [206, 60, 16, 223.5],
  ])('at %i, %i after %i s rises by the design’s figure', (x, y, atS, rise) => {
    const { tempAt } = soak(base);
    // Within the half percent that the design asks for.
    expect(Math.abs(tempAt([x, y], atS) / rise - 1)).toBeLessThan(0.005);
  });

  it('keeps its heat: the mean rise is energy over heat capacity', () => {
    const field = plateField(plate);
    field.advance(32, { at: [0, 60], velocity: [12.5, 0], powerW: 1689 });
    field.advance(5000);
    const mean = (1689 * 32) / (400 * 120 * 3 * 2.8e-3);
    expect(field.riseAt(17, 93)).toBeCloseTo(mean, 6);
  });

  it('agrees with an independent sum: explicit finite differences on 4 mm cells', () => {
    const cells = finiteDifferences(124);
    const { tempAt } = soak(base);
    // 4 mm cells and 10 ms steps leave about a percent.
    expect(Math.abs(tempAt([200, 20], 124) / cells(200, 20) - 1)).toBeLessThan(0.015);
    expect(Math.abs(tempAt([60, 30], 124) / cells(60, 30) - 1)).toBeLessThan(0.015);
  });

  it('is the same asked forwards, backwards and with two arcs at once', () => {
    const both: SoakInput = { ...base, seams: [seams[0], { ...seams[1], startAtS: 10 }] };
    const moments = [5, 31, 60, 200];
    const forwards = soak(both);
    const asked = moments.map((atS) => forwards.tempAt([150, 70], atS));
    const backwards = soak(both);
    const again = [...moments].reverse().map((atS) => backwards.tempAt([150, 70], atS));
    for (const [at, value] of again.reverse().entries()) expect(value).toBeCloseTo(asked[at] ?? 0, 6);
    // Fields add: both arcs are the sum of either alone.
    const alone = both.seams.map((seam) => soak({ ...base, seams: [seam] }));
    for (const [at, atS] of moments.entries())
      expect(alone.reduce((sum, one) => sum + one.tempAt([150, 70], atS), 0)).toBeCloseTo(asked[at] ?? 0, 6);
  });

  it('loses it by its faces', () => {
    const cooled = soak({ ...base, part: { kind: 'plate', ...plate, lossWPerM2K: 20 } });
    expect(cooled.tempAt([50, 90], 600)).toBeLessThan(soak(base).tempAt([50, 90], 600) - 30);
  });
});

describe('seams in their order', () => {
  it('lower the level as the plate warms, within what the arc holds', () => {
    const [first, second] = soak({ ...base, ambientC: 20 }).seams;
    expect(first?.levels[0]?.[1]).toBeGreaterThan(95);
    expect(second?.levels.at(-1)?.[1]).toBeLessThan((first?.levels[0]?.[1] ?? 0) - 10);
    for (const [, percent] of [...(first?.levels ?? []), ...(second?.levels ?? [])]) {
      expect(percent).toBeGreaterThanOrEqual(60);
      expect(percent).toBeLessThanOrEqual(105);
    }
    expect(second?.levels.length).toBeLessThanOrEqual(3);
  });

  it('wait under a ceiling until the plate is below it', () => {
    const part = { kind: 'plate', ...plate, lossWPerM2K: 30 } as const;
    const { seams: soaked, tempAt } = soak({ ...base, part, ambientC: 20, interpassC: 80 });
    const second = soaked[1];
    expect(second?.waitS).toBeGreaterThan(10);
    expect(tempAt([400, 90], second?.startAtS ?? 0)).toBeLessThan(80.5);
    expect(soak({ ...base, ambientC: 20, interpassC: 300 }).seams[1]?.waitS).toBe(0);
  });
});

/** Rise on 4 mm cells by forward steps, insulated edges. */
function finiteDifferences(untilS: number): (x: number, y: number) => number {
  const size = 4;
  const [columns, rows] = [100, 30];
  const step = 0.02;
  let field = new Float64Array(columns * rows);
  for (let atS = 0; atS < untilS; atS += step) {
    const next = field.slice();
    for (let i = 0; i < columns; i++)
      for (let j = 0; j < rows; j++) {
        const here = field[i * rows + j] ?? 0;
        const side = (di: number, dj: number) =>
          field[Math.min(Math.max(i + di, 0), columns - 1) * rows + Math.min(Math.max(j + dj, 0), rows - 1)] ?? 0;
        const curve = side(1, 0) + side(-1, 0) + side(0, 1) + side(0, -1) - 4 * here;
        next[i * rows + j] = here + (65 * step * curve) / size ** 2;
      }
    for (const { from, startAtS, to } of seams) {
      const mm = 12.5 * (atS + step / 2 - startAtS);
      if (mm < 0 || mm > 400) continue;
      const x = from[0] + Math.sign(to[0] - from[0]) * mm;
      const i = Math.min(Math.floor(x / size), columns - 1);
      // A seam on the border of two rows of cells heats both.
      for (const j of [Math.floor(from[1] / size - 0.5), Math.floor(from[1] / size - 0.5) + 1])
        next[i * rows + j] = (next[i * rows + j] ?? 0) + (1689 * step) / 2 / (2.8e-3 * size * size * 3);
    }
    field = next;
  }
  return (x, y) => field[Math.floor(x / size) * rows + Math.floor(y / size)] ?? 0;
}

describe('an order of seams', () => {
  const many = {
    ...base,
    part: { kind: 'plate', ...plate, widthMm: 300, lossWPerM2K: 30 } as const,
    ambientC: 20,
    interpassC: 90,
    seams: [40, 60, 80, 240, 260].map((y) => ({
      from: [20, y] as const,
      to: [380, y] as const,
      travelMmPerMin: 750,
      powerW: 1500,
      startAtS: 0,
    })),
  };

  it('waits no longer than as listed, and welds every seam once', () => {
    const best = bestOrder(many);
    expect([...best.order].sort()).toEqual([0, 1, 2, 3, 4]);
    expect(best.endsAtS).toBeLessThanOrEqual(inOrder(many, [0, 1, 2, 3, 4]).endsAtS + 1e-6);
    // Each is cool enough where it begins.
    for (const { startAtS, waitS } of best.soaked.seams.slice(1)) expect(startAtS).toBeGreaterThanOrEqual(waitS);
  });

  it('is corrected by one reading, in proportion; a cold place says nothing', () => {
    const { soaked } = inOrder(many, [0, 3]);
    const predicted = soaked.tempAt([200, 50], 100);
    const reads = (tempC: number) => readingAgainst(soaked, 20, { atMm: [200, 50], atS: 100, tempC }, 200);
    expect(reads(20 + 1.2 * (predicted - 20))).toEqual({
      says: 'factor',
      factor: expect.closeTo(1.2, 9),
      predictedC: predicted,
    });
    expect(readingAgainst(soaked, 20, { atMm: [380, 290], atS: 0, tempC: 22 }, 200).says).toBe('nothing');
  });

  it('contradicted by a reading says when that place would be so warm, or that it never is', () => {
    const { soaked } = inOrder(many, [0, 3]);
    const later = soaked.tempAt([200, 50], 60);
    const found = readingAgainst(soaked, 20, { atMm: [200, 50], atS: 0, tempC: later }, 200);
    expect(found.says).toBe('contradicts');
    // Warm on the way up or down: either way it is as warm then as was read.
    if (found.says === 'contradicts')
      expect(Math.abs(soaked.tempAt([200, 50], found.warmAtS ?? 0) / later - 1)).toBeLessThan(0.05);
    expect(readingAgainst(soaked, 20, { atMm: [200, 50], atS: 100, tempC: 600 }, 200)).toMatchObject({
      says: 'contradicts',
      warmAtS: null,
    });
  });
});

describe('levels as a hand holds them', () => {
  it('need no tap while main holds', () => {
    expect(tapLevels([[0, 100]], 400)).toBeNull();
    expect(tapLevels([[0, 98]], 400)).toBeNull();
  });

  it('are one tap where they fall, at once where the whole seam is warm', () => {
    expect(
      tapLevels(
        [
          [0, 100],
          [200, 90],
        ],
        400,
      ),
    ).toEqual({ tapAtMm: 200, secondPercent: 90, offPercent: 0 });
    expect(tapLevels([[0, 84]], 400)).toEqual({ tapAtMm: 1, secondPercent: 84, offPercent: 0 });
  });

  it('are the nearest two of three, and say how far they are off', () => {
    const two = tapLevels(
      [
        [0, 99],
        [100, 90],
        [200, 86],
      ],
      300,
    );
    expect(two).toEqual({ tapAtMm: 100, secondPercent: 88, offPercent: 2 });
  });
});
