/** Areas and legs both ways; the fillet case is the model's reference: z 6, 1.2 mm at 8.5 m/min, 476 mm/min. */
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { wireInGas } from '../../metal/arc/index.ts';
import { bead, edgeAreaMm2, filletAreaMm2, filletLegMm, squareButtAreaMm2, throatMm } from './index.ts';
import { areaForTravel, feedForArea, travelForArea } from './travel.ts';

const wire = wireInGas('steel-solid', 'M21-ArC-18', 1.2);

describe('bead areas', () => {
  it('leg and area are inverse, with a gap and without', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 15, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (leg, gap) => {
          expect(filletLegMm(filletAreaMm2(leg, gap), gap)).toBeCloseTo(leg, 9);
        },
      ),
    );
  });

  it('grow with what has to be filled', () => {
    expect(filletAreaMm2(5)).toBeGreaterThan(filletAreaMm2(4));
    expect(squareButtAreaMm2(2, 1)).toBeGreaterThan(squareButtAreaMm2(2, 0.5));
    expect(edgeAreaMm2(1, 1.5)).toBeCloseTo(3, 9);
    expect(throatMm(6)).toBeCloseTo(4.243, 3);
  });
});

describe('feed, travel and area', () => {
  it('any two give the third', () => {
    const area = filletAreaMm2(6);
    const travel = travelForArea(wire, 8.5, area);
    expect(travel).toBeCloseTo(476, -1);
    expect(feedForArea(wire, travel, area)).toBeCloseTo(8.5, 9);
    expect(areaForTravel(wire, 8.5, travel)).toBeCloseTo(area, 9);
  });

  it('the question answers with what is missing, and asks for two of three', () => {
    const asked = { filler: 'steel-solid', diameterMm: 1.2 } as const;
    const leg = bead({ ...asked, wireFeedMPerMin: 8.5, travelMmPerMin: 476 });
    expect(leg.ok && leg.value.legMm).toBeCloseTo(6, 1);
    const travel = bead({ ...asked, wireFeedMPerMin: 8.5, legMm: 6 });
    expect(travel.ok && travel.value.travelMmPerMin).toBeCloseTo(476, -1);
    expect(bead({ ...asked, wireFeedMPerMin: 8.5 }).ok).toBe(false);
  });
});
