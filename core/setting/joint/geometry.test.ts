import { describe, expect, it } from '@jest/globals';
import { joints, planSeam, positions, standardSite } from '../plan/index.ts';
import { jointGeometry } from './geometry.ts';
import type { JointNumbers } from './shapes.ts';
import type { Point } from './shapes.ts';

const numbers = (change: Partial<JointNumbers>): JointNumbers => ({
  joint: 'tee',
  position: 'PB',
  thicknessesMm: [2.5, 5],
  gapMm: 0,
  legMm: 4,
  areaMm2: 8.8,
  ...change,
});

/** Area of the drawn bead: its triangle and the curve over its face. */
function drawnArea({ bead: { from, root, to, crown } }: ReturnType<typeof jointGeometry>): number {
  const points: Point[] = [root];
  for (let t = 0; t <= 1; t += 0.001) {
    const s = 1 - t;
    points.push([
      s * s * from[0] + 2 * s * t * crown[0] + t * t * to[0],
      s * s * from[1] + 2 * s * t * crown[1] + t * t * to[1],
    ]);
  }
  return Math.abs(
    points.reduce((sum, [x, y], index) => {
      const [nx, ny] = points[(index + 1) % points.length]!;
      return sum + (x * ny - nx * y) / 2;
    }, 0),
  );
}

describe('the joint drawn from its numbers', () => {
  it('has plates of the thickness asked for', () => {
    const { plates } = jointGeometry(numbers({}));
    const width = (index: 0 | 1, axis: 0 | 1) => {
      const values = plates[index].outline.map((point) => point[axis]);
      return Math.max(...values) - Math.min(...values);
    };
    expect(width(0, 0)).toBeCloseTo(2.5, 9);
    expect(width(1, 1)).toBeCloseTo(5, 9);
  });

  it('draws the bead with the area of the plan: fillet and outside corner', () => {
    // 0.5 %: the curve is summed in a thousand chords.
    expect(drawnArea(jointGeometry(numbers({}))) / ((4 * 4 * 1.1) / 2)).toBeCloseTo(1, 2);
    const corner = planSeam({
      seam: {
        materialGroup: 'stainless',
        thicknessesMm: [2.5, 2.5],
        joint: 'corner-outside',
        position: 'PB',
        gapMm: 0,
        lengthMm: 100,
      },
      arcHabit: 'by-joint',
      site: standardSite,
      filler: 'stainless-solid',
      gas: 'M12-ArC-2',
      diameterMm: 1,
      mode: 'pulse',
    });
    const areaMm2 = corner.ok ? corner.value.areaMm2 : Number.NaN;
    const drawn = drawnArea(
      jointGeometry(numbers({ joint: 'corner-outside', thicknessesMm: [2.5, 2.5], legMm: null, areaMm2 })),
    );
    expect(drawn / areaMm2).toBeCloseTo(1, 2);
  });

  it('turns into the position without changing a length, and the gun comes from above in PA, from below overhead', () => {
    for (const joint of joints) {
      const flat = jointGeometry(numbers({ joint, position: 'PF' }));
      for (const position of positions) {
        const turned = jointGeometry(numbers({ joint, position }));
        const length = ({ bead: { from, to } }: typeof flat) => Math.hypot(to[0] - from[0], to[1] - from[1]);
        expect(length(turned)).toBeCloseTo(length(flat), 9);
        expect(Math.hypot(...turned.gun)).toBeCloseTo(1, 9);
      }
      expect(jointGeometry(numbers({ joint, position: 'PA' })).gun[1]).toBeGreaterThan(0.98);
      expect(jointGeometry(numbers({ joint, position: 'PE' })).gun[1]).toBeLessThan(-0.98);
      expect(jointGeometry(numbers({ joint, position: 'PC' })).gun[0]).toBeGreaterThan(0.98);
    }
  });

  it('opens the gap between the parts', () => {
    const {
      gap = [
        [0, 0],
        [0, 0],
      ],
    } = jointGeometry(numbers({ joint: 'butt', gapMm: 1.2 }));
    expect(gap[1][0] - gap[0][0]).toBeCloseTo(1.2, 9);
  });
});
