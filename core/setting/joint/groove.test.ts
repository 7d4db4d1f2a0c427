import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { planSeam, type Plan, type PreparationKind, standardSite } from '../plan/index.ts';
import { jointGeometry } from './geometry.ts';
import type { Point } from './shapes.ts';

function planned(kind: PreparationKind): Plan {
  const plan = planSeam({
    seam: {
      materialGroup: 'steel',
      thicknessesMm: [12, 12],
      joint: 'butt',
      position: 'PA',
      gapMm: 2,
      lengthMm: 100,
      preparation: { kind },
    },
    arcHabit: 'by-joint',
    site: standardSite,
    filler: 'steel-solid',
    gas: 'M21-ArC-18',
    diameterMm: 1.2,
    mode: 'pulse',
  });
  if (!plan.ok) throw new Error(inEnglish(plan.issues[0]?.message));
  return plan.value;
}
/** Shoelace, mm². */
const areaOf = (outline: readonly Point[]) =>
  Math.abs(
    outline.reduce((sum, [x, y], at) => {
      const [nextX, nextY] = outline[(at + 1) % outline.length]!;
      return sum + x * nextY - nextX * y;
    }, 0),
  ) / 2;

describe('a groove drawn to scale', () => {
  it.each(['v', 'bevel', 'double-v'] as const)('%s: every pass has the area it was planned with', (kind) => {
    const plan = planned(kind);
    const drawn = jointGeometry({
      joint: 'butt',
      position: 'PA',
      thicknessesMm: [12, 12],
      gapMm: 2,
      legMm: null,
      areaMm2: plan.areaMm2,
      preparation: { kind },
      places: plan.passTable.map((pass) => pass.place),
    });
    expect(drawn.passes).toHaveLength(plan.passes);
    // Passes side by side share a layer evenly by width, not by area.
    for (const pass of drawn.passes ?? []) expect(Math.abs(areaOf(pass.outline) / plan.areaMm2 - 1)).toBeLessThan(0.01);
  });

  it('opens to one side in a bevel, to both in a V', () => {
    const edges = (kind: PreparationKind) =>
      jointGeometry({
        joint: 'butt',
        position: 'PA',
        thicknessesMm: [12, 12],
        gapMm: 2,
        legMm: null,
        areaMm2: 20,
        preparation: { kind },
      }).plates.map((plate) => plate.outline.find(([x, y]) => y === 0 && Math.abs(x) < 30)?.[0] ?? 0);
    const [left, right] = edges('bevel');
    expect(left).toBeCloseTo(-1, 9);
    expect(right).toBeGreaterThan(5);
    const [vLeft = 0, vRight = 0] = edges('v');
    expect(vLeft).toBeCloseTo(-vRight, 9);
  });
});
