import { standardSite } from './site.ts';
import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { edgeAreaMm2, filletAreaMm2, filletLegMm, squareButtAreaMm2, throatMm } from '../bead/index.ts';
import { trueFlowFactor } from '../../metal/consumables/index.ts';
import { bestLogArea, leastBending, type Wish } from './bend.ts';
import type { PlanInput } from './input.ts';
import { jointArea, jointRule, jointRules, usualLegMm } from './joints.ts';
import { planModes } from './mode.ts';
import { passTable, type PassSetting } from './passes.ts';
import { allowsPosition, positionName, positions } from './positions.ts';
import { gapFactor, gasFlow, stickOutMm, weaveMm, widestGapMm } from './practice.ts';
import { grooveOf, preparationIssues, preparedArea, squareIssue, topWidthMm } from './preparation.ts';
import { metalFactor, thicknessThatCounts } from './wishes.ts';

describe('joints', () => {
  it('have areas by geometry or by rule of practice', () => {
    // z²/2 x 1.10; g t + 1.35 x 0.67 (t + 3)(0.1 t + 0.8); 0.5 t² + 1.3 t; 1.2 (t1 + t2).
    expect(filletAreaMm2(6)).toBeCloseTo(19.8, 9);
    expect(jointArea('butt', [3, 3], 1, 0).areaMm2).toBeCloseTo(3 + 1.35 * squareButtAreaMm2(3, 0), 9);
    expect(squareButtAreaMm2(3, 0)).toBeCloseTo(0.67 * 6 * 1.1, 9);
    expect(jointArea('corner-outside', [2, 3], 0, 0).areaMm2).toBeCloseTo(4.6, 9);
    expect(edgeAreaMm2(1, 1.5)).toBeCloseTo(3, 9);
    expect(throatMm(6)).toBeCloseTo(4.243, 3);
    expect(filletLegMm(filletAreaMm2(5, 1), 1)).toBeCloseTo(5, 9);
    for (const { joint } of jointRules) expect(inEnglish(jointArea(joint, [2, 3], 0.5, 3).because)).not.toBe('');
  });

  it('wish a leg that grows slower than the plate, more with fluid wire and going up', () => {
    // 2.35 t^0.48.
    expect(usualLegMm([3, 5], 'steel', false)).toBeCloseTo(2.35 * 3 ** 0.48, 9);
    expect(usualLegMm([3, 5], 'aluminium', true)).toBeCloseTo(2.35 * 3 ** 0.48 * 1.12 * 1.08, 9);
  });

  it('stand their arcs where practice has them: inside corners short, outside corners long', () => {
    expect(jointRule('tee').arcMm[1]).toBeLessThanOrEqual(jointRule('butt').arcMm[0]);
    expect(jointRule('butt').arcMm[1]).toBeLessThanOrEqual(jointRule('corner-outside').arcMm[0]);
  });
});

describe('the thickness that counts', () => {
  it('is the thinner part, leaning to the thicker by the power 0.15 of their ratio, three at most', () => {
    expect(thicknessThatCounts([2, 5], false, 'leaning').thicknessMm).toBeCloseTo(2 * 2.5 ** 0.15, 9);
    expect(thicknessThatCounts([2, 20], false, 'leaning').thicknessMm).toBeCloseTo(2 * 3 ** 0.15, 9);
    expect(thicknessThatCounts([12, 12], false, 'leaning').thicknessMm).toBe(8);
    expect(thicknessThatCounts([12, 12], true, 'leaning').thicknessMm).toBe(5);
  });

  it('follows the shop’s own rule where it has one', () => {
    const by = (rule: Parameters<typeof thicknessThatCounts>[2]) =>
      thicknessThatCounts([2, 3], false, rule).thicknessMm;
    expect([by('thinner'), by('mean'), by('thicker')]).toEqual([2, 2.5, 3]);
    expect(thicknessThatCounts([2, 8], false, 'mean').thicknessMm).toBe(4);
  });
});

describe('edge preparation', () => {
  const v60 = { kind: 'v', angleDeg: 60, rootFaceMm: 1 } as const;

  it('has the area of its geometry and a cap of 1.2 mm over its width', () => {
    const tan = Math.tan(Math.PI / 6);
    const width = 2 + 2 * 5 * tan;
    expect(preparedArea(v60, 6, 2).areaMm2).toBeCloseTo(2 * 6 + 25 * tan + 1.2 * width, 9);
    expect(topWidthMm(grooveOf(v60, 6, 2))).toBeCloseTo(width, 9);
    // A bevel on one side only has half a V's triangle for its own angle.
    expect(preparedArea({ kind: 'bevel', angleDeg: 30, rootFaceMm: 1 }, 6, 2).areaMm2).toBeCloseTo(
      2 * 6 + 12.5 * tan + 1.2 * (2 + 5 * tan),
      9,
    );
    // A double V saves metal on thick plate.
    expect(preparedArea({ ...v60, kind: 'double-v' }, 20, 2).areaMm2).toBeLessThan(preparedArea(v60, 20, 2).areaMm2);
  });

  it('agrees with a slow summation of its width over its height', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('v' as const, 'bevel' as const, 'double-v' as const),
        fc.double({ min: 30, max: 80, noNaN: true }),
        fc.double({ min: 5, max: 25, noNaN: true }),
        fc.double({ min: 0, max: 4, noNaN: true }),
        (kind, angleDeg, thicknessMm, gapMm) => {
          const preparation = { kind, angleDeg, rootFaceMm: 1 };
          const { widening, sides } = grooveOf(preparation, thicknessMm, gapMm);
          const middle = kind === 'double-v' ? thicknessMm / 2 : 0.5;
          let sum = 0;
          const dy = thicknessMm / 4000;
          for (let y = dy / 2; y < thicknessMm; y += dy) {
            const over = kind === 'double-v' ? Math.abs(y - middle) - 0.5 : y - 1;
            sum += (gapMm + widening * Math.max(over, 0)) * dy;
          }
          const caps = sides * 1.2 * topWidthMm(grooveOf(preparation, thicknessMm, gapMm));
          // The sum's own steps.
          expect(Math.abs(preparedArea(preparation, thicknessMm, gapMm).areaMm2 / (sum + caps) - 1)).toBeLessThan(2e-3);
        },
      ),
    );
  });

  it.each([
    [{ kind: 'v', rootFaceMm: 7 }, true, 'no-root', 'seam.preparation.rootFaceMm'],
    [{ kind: 'v', rootFaceMm: 0 }, true, 'no-root', 'seam.preparation.rootFaceMm'],
    [{ kind: 'v', angleDeg: 10 }, true, 'out-of-range', 'seam.preparation.angleDeg'],
    [{ kind: 'square', backing: 'strip' }, false, 'backing-not-for-joint', 'seam.preparation.backing'],
    [{ kind: 'v' }, false, 'preparation-not-for-joint', 'seam.preparation.kind'],
  ] as const)('%j is refused by field, limit and value', (preparation, isButt, code, path) => {
    const [issue] = preparationIssues(preparation, isButt, 6, 5);
    expect(issue).toMatchObject({ code, path });
    expect(issue?.limit).toBeDefined();
  });

  it('is asked for where a square edge does not fuse through', () => {
    expect(squareIssue(4, 1, false)).toBeUndefined();
    expect(squareIssue(4.5, 1, false)).toMatchObject({ code: 'needs-preparation', limit: 4 });
    expect(squareIssue(4, 0, false)).toMatchObject({ limit: 3 });
    expect(squareIssue(6, 1, true)).toBeUndefined();
  });
});

describe('the least bending of three wishes', () => {
  const wish = (value: number, free: number, spread: number): Wish => ({ log: Math.log(value), free, spread });
  const cost = ({ log, free, spread }: Wish, value: number) => {
    const d = Math.log(value) - log;
    return (Math.max(0, Math.abs(d) - free) ** 2 + 0.02 * d * d) / spread ** 2;
  };

  it('finds the best area for a feed where a fine search finds it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 200, max: 900, noNaN: true }),
        fc.double({ min: 4, max: 40, noNaN: true }),
        fc.double({ min: 2000, max: 12_000, noNaN: true }),
        (pace, size, metal) => {
          const [travel, area] = [wish(pace, 0.1, 0.15), wish(size, 0.1, 0.2)];
          const at = (x: number) => cost(area, x) + cost(travel, metal / x);
          const found = Math.exp(bestLogArea(travel, area, Math.log(metal)));
          for (let step = -200; step <= 200; step++) {
            expect(at(found)).toBeLessThanOrEqual(at(found * Math.exp(step / 100)) + 1e-9);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('finds the feed where a fine search finds it, never under the least share of the current', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 60, max: 300, noNaN: true }),
        fc.double({ min: 200, max: 900, noNaN: true }),
        fc.double({ min: 4, max: 30, noNaN: true }),
        (amps, pace, size) => {
          const [current, travel, area] = [wish(amps, 0.05, 0.1), wish(pace, 0.1, 0.15), wish(size, 0.1, 0.2)];
          const currentAt = (feed: number) => 38 * feed ** 0.85;
          const metal = Math.log(1100);
          const bend = leastBending({
            current,
            travel,
            area,
            logMetalPerFeed: metal,
            currentAt,
            limits: () => [0.5, 30],
            startFeedMPerMin: 6,
            leastCurrentShare: 0.85,
          })!;
          expect(currentAt(bend.feedMPerMin)).toBeGreaterThanOrEqual(0.85 * amps * (1 - 1e-6));
          const total = (feed: number) => {
            const best = Math.exp(bestLogArea(travel, area, Math.log(feed) + metal));
            return cost(current, currentAt(feed)) + cost(area, best) + cost(travel, (feed * 1100) / best);
          };
          for (let step = -100; step <= 100; step++) {
            const feed = bend.feedMPerMin * Math.exp(step / 100);
            if (currentAt(feed) < 0.85 * amps) continue;
            expect(total(bend.feedMPerMin)).toBeLessThanOrEqual(total(feed) + 1e-6);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('positions', () => {
  it('carry the US name of what they are for', () => {
    expect(inEnglish(positionName('PB', 'tee'))).toBe('PB / 2F, horizontal fillet');
    expect(inEnglish(positionName('PC', 'butt'))).toBe('PC / 2G, horizontal');
    expect(inEnglish(positionName('PF', 'butt'))).toBe('PF / 3G, vertical up');
    // A fillet position stays one, whatever joint somebody lays in it.
    expect(inEnglish(positionName('PB', 'butt'))).toBe('PB / 2F, horizontal fillet');
  });

  it('allow spray flat and in horizontal fillets only, every other mode anywhere', () => {
    expect(positions.filter((position) => allowsPosition(position, 'spray'))).toEqual(['PA', 'PB']);
    for (const mode of planModes) {
      if (mode !== 'spray') expect(positions.every((position) => allowsPosition(position, mode))).toBe(true);
    }
  });
});

describe('rules of practice', () => {
  it('take less current over a gap, and name the widest worth filling', () => {
    expect(gapFactor(0.5)).toBe(1);
    expect(gapFactor(1)).toBeCloseTo(0.95, 9);
    expect(gapFactor(12)).toBe(0.5);
    expect(widestGapMm(3)).toBe(2.5);
  });

  it('know what metal and wire want of the current', () => {
    expect(metalFactor('aluminium', 'aluminium').factor).toBe(0.85);
    expect(metalFactor('stainless', 'stainless').factor).toBe(0.9);
    expect(metalFactor('galvanised', 'copper-silicon').factor).toBe(1);
  });

  it('hold stick-out and flow inside their usual ranges', () => {
    for (const diameterMm of [0.6, 0.8, 1, 1.2, 1.6]) {
      expect(stickOutMm('pulse', diameterMm)).toBeGreaterThanOrEqual(11);
      expect(stickOutMm('pulse', diameterMm)).toBeLessThanOrEqual(17);
      expect(stickOutMm('spray', diameterMm)).toBe(stickOutMm('pulse', diameterMm) + 2);
      expect(stickOutMm('dip', diameterMm, 'C1')).toBe(stickOutMm('dip', diameterMm) + 2);
      // Under 8 L/min air is drawn in.
      expect(gasFlow('dip', 'steel-solid', diameterMm).flowLPerMin).toBeGreaterThanOrEqual(8);
    }
    expect(gasFlow('cored', 'steel-self-shielded', 1.2).flowLPerMin).toBe(0);
  });

  it('know that an argon gauge reads too little with helium', () => {
    expect(trueFlowFactor('M21-ArC-18')).toBe(1);
    // 70/30: 1.22 kg/m³ against argon's 1.67.
    expect(trueFlowFactor('I3-ArHe-30')).toBeCloseTo(Math.sqrt(1 / (0.7 + 0.3 * 0.1)), 1);
  });

  it('weave going up only, and not in narrow seams', () => {
    expect(weaveMm(false, 10)).toBe(0);
    expect(weaveMm(true, 3)).toBe(0);
    expect(weaveMm(true, 8)).toBe(6);
  });
});

describe('passes', () => {
  const setting: PassSetting = { wireFeedMPerMin: 5, meanCurrentA: 180, voltageV: 24, travelMmPerMin: 330 };
  const tee: PlanInput = {
    seam: { materialGroup: 'steel', thicknessesMm: [12, 12], joint: 'tee', position: 'PB', gapMm: 0, lengthMm: 100 },
    arcHabit: 'by-joint',
    site: standardSite,
    filler: 'steel-solid',
    gas: 'M21-ArC-18',
    diameterMm: 1.2,
    mode: 'pulse',
  };
  const butt: PlanInput = {
    ...tee,
    seam: { ...tee.seam, joint: 'butt', position: 'PA', gapMm: 2, preparation: { kind: 'v' } },
  };

  it('fill the leg asked for, each from its own side', () => {
    const table = passTable(tee, 3, filletAreaMm2(12) / 3, () => setting);
    expect(table.map((pass) => pass.pass)).toEqual([1, 2, 3]);
    expect(table[2]?.legAfterMm).toBeCloseTo(12, 9);
    expect(inEnglish(table[0]?.gun)).toContain('root');
    expect(inEnglish(table[1]?.gun)).toContain('lower toe');
    expect(inEnglish(table[2]?.gun)).toContain('upper toe');
  });

  it('stack in a groove from root to cap without a hole, and end over the plate', () => {
    for (const kind of ['v', 'bevel', 'double-v'] as const) {
      const input = { ...butt, seam: { ...butt.seam, preparation: { kind } } };
      const { areaMm2 } = preparedArea({ kind }, 12, 2);
      const passes = Math.ceil(areaMm2 / 25);
      const table = passTable(input, passes, areaMm2 / passes, () => setting);
      expect(table[0]?.kind).toBe('root');
      expect(table.at(-1)?.kind).toBe('cap');
      const top = table.filter((pass) => pass.place?.side === 'top').map((pass) => pass.place!);
      for (let at = 1; at < top.length; at++) {
        if (top[at]!.layer > top[at - 1]!.layer) expect(top[at]!.fromMm).toBeCloseTo(top[at - 1]!.toMm, 9);
      }
      expect(top.at(-1)!.toMm).toBeGreaterThan(kind === 'double-v' ? 6 : 12);
      expect(table.at(-1)!.totalAfterMm2).toBeCloseTo(areaMm2, 9);
    }
  });
});
