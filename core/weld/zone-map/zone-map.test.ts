import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { programFromPlan, type Program } from '../../setting/program/index.ts';
import { noTune, tuned } from '../../machine/tuning/index.ts';
import { planSeam, type PlanInput } from '../../setting/plan/index.ts';
import { scenarios } from '../../scenarios/index.ts';
import {
  axisRange,
  cellAt,
  contour,
  filledFrom,
  islandsOf,
  mapCell,
  marginsAt,
  movedTo,
  placeOf,
  placesToRun,
  zoneAreas,
  zoneCentre,
  zoneWords,
  zones,
  type Cell,
  type MapRequest,
  type Zone,
  type ZoneMap,
} from './index.ts';

function planned(change: Partial<PlanInput> = {}): Program {
  const input = { ...scenarios[0]!.input, ...change };
  const plan = planSeam(input);
  if (!plan.ok) throw new Error(inEnglish(plan.issues[0]?.message));
  return programFromPlan(input, plan.value);
}
function drawn(program: Program, count: number, seconds = 0.2): ZoneMap {
  const x = axisRange(program, 'wireFeedMPerMin');
  const y = axisRange(program, 'trimMm');
  const request = { program, x, y, circuitMOhm: 15, seconds };
  const cells = Array.from({ length: count * count }, (_, place) =>
    mapCell(request, place % count, Math.floor(place / count), count),
  );
  return { count, x, y, cells };
}
const share = (map: ZoneMap, zone: Zone) => zoneAreas(map).find((area) => area.zone === zone)?.share ?? 0;
const thin = { ...scenarios[0]!.input.seam, thicknessesMm: [2, 2] as const, legMm: 3 };

describe('the map of a pulsed arc', () => {
  const map = drawn(planned(), 10);
  const columns = Array.from({ length: 10 }, (_, column) =>
    Array.from({ length: 10 }, (_row, row) => cellAt(map, column, row)!.zone),
  );

  it('goes from crackle through hum to flutter as the arc grows, at every feed', () => {
    for (const zonesUp of columns.slice(0, 8)) {
      const of = (zone: Zone) => zonesUp.flatMap((one, row) => (one === zone ? [row] : []));
      expect(Math.max(-1, ...of('crackle'))).toBeLessThan(Math.min(...of('hum')));
      expect(Math.max(...of('hum'))).toBeLessThan(Math.min(...of('flutter'), 99));
    }
    expect(share(map, 'hum')).toBeGreaterThan(0.3);
  });

  it('says how far the edges are, what waits there, and where the middle lies', () => {
    const margins = marginsAt(map, 7.8, -0.5);
    expect(margins.find((margin) => margin.direction === 'y-down')?.waits).toBe('crackle');
    expect(margins.find((margin) => margin.direction === 'y-up')?.waits).toBe('flutter');
    const centre = zoneCentre(map, ['hum'])!;
    const { column, row } = placeOf(map, centre.x, centre.y);
    expect(cellAt(map, column, row)?.zone).toBe('hum');
    expect(zoneCentre(map, ['hiss'])).toBeUndefined();
  });

  it('is of the very setting that tuning makes: same waveform at the same place', () => {
    const program = planned();
    const bench = tuned(program, { ...noTune, trimMm: -3.5 }, 6.4);
    const feed = movedTo(program, 'wireFeedMPerMin', 6.4);
    const place = feed.ok ? movedTo(feed.value, 'trimMm', -3.5) : feed;
    if (!bench.ok || !place.ok) throw new Error('both can be made');
    // Peak and time are handed on as figures, so only rounding may part them.
    expect(place.value.pulse!.frequencyHz).toBeCloseTo(bench.value.pulse!.frequencyHz, 6);
    expect(place.value.pulse!.backgroundCurrentA).toBeCloseTo(bench.value.pulse!.backgroundCurrentA, 6);
    expect(place.value.trimMm).toBe(-3.5);
  });
});

describe('dip in argon mix and in CO2', () => {
  it('has a smaller zone of even frying in CO2', () => {
    const mix = drawn(planned({ mode: 'dip', seam: thin }), 12);
    const co2 = drawn(planned({ mode: 'dip', gas: 'C1', seam: thin }), 12);
    expect(share(mix, 'steady-dip')).toBeGreaterThan(0.15);
    expect(share(co2, 'steady-dip')).toBeLessThan(0.8 * share(mix, 'steady-dip'));
  });
});

const cell = (zone: Zone): Cell => ({ zone, shortsPerS: 0, dropsPerPulse: 1, arcLengthMm: 3 });
const random: fc.Arbitrary<ZoneMap> = fc.integer({ min: 2, max: 12 }).chain((count) =>
  fc
    .array(fc.constantFrom<Zone>('hum', 'crackle', 'flutter'), { minLength: count * count, maxLength: count * count })
    .map((all) => ({
      count,
      x: { axis: 'wireFeedMPerMin' as const, from: 2, to: 12 },
      y: { axis: 'trimMm' as const, from: -5, to: 5 },
      cells: all.map(cell),
    })),
);

describe('reading any map', () => {
  it('shares add up to all of it, margins stay on it, and the middle is in the zone', () => {
    fc.assert(
      fc.property(
        random,
        fc.double({ min: 2, max: 12, noNaN: true }),
        fc.double({ min: -5, max: 5, noNaN: true }),
        (map, x, y) => {
          expect(zoneAreas(map).reduce((sum, area) => sum + area.share, 0)).toBeCloseTo(1, 9);
          for (const { by } of marginsAt(map, x, y)) {
            expect(by).toBeGreaterThanOrEqual(0);
            expect(by).toBeLessThanOrEqual(10 + 1e-9);
          }
          const centre = zoneCentre(map, ['hum']);
          if (centre) {
            const { column, row } = placeOf(map, centre.x, centre.y);
            expect(cellAt(map, column, row)?.zone).toBe('hum');
          }
        },
      ),
    );
  });

  it('every zone has a name and a symptom', () => {
    for (const zone of zones)
      expect(inEnglish(zoneWords[zone].name).length * inEnglish(zoneWords[zone].symptom).length).toBeGreaterThan(0);
  });
});

describe('contours', () => {
  it('cross a slope where the level lies', () => {
    const count = 5;
    const values = Array.from({ length: 25 }, (_, place) => place % count);
    const segments = contour(values, count, 2.5);
    expect(segments).toHaveLength(4);
    // Half way between the middles of the third and the fourth column.
    for (const [x1, , x2] of segments) expect([x1, x2]).toEqual([0.6, 0.6]);
    expect(
      contour(
        values.map(() => 1),
        count,
        2,
      ),
    ).toEqual([]);
    expect(contour([...values.slice(0, 24), Number.NaN], count, 3.5).length).toBeLessThan(4);
  });
});

describe('drawing where it matters', () => {
  const thinTee = { ...thin, joint: 'tee' as const };
  const request = (program: Program): MapRequest => ({
    program,
    x: axisRange(program, 'wireFeedMPerMin'),
    y: axisRange(program, 'trimMm'),
    circuitMOhm: 15,
    seconds: 0.15,
  });
  const run = (one: MapRequest, count: number, cells: (Cell | null)[], places: readonly number[]): ZoneMap => {
    for (const place of places) cells[place] = mapCell(one, place % count, Math.floor(place / count), count);
    return { count, x: one.x, y: one.y, cells };
  };

  it('runs few places of the fine grid and has the same zones as all of them, but at borders', () => {
    const one = request(planned({ mode: 'pulse', seam: thinTee }));
    const coarse = run(one, 10, filledFrom(undefined, 10), placesToRun(undefined, 10));
    const places = placesToRun(coarse, 20);
    expect(places.length).toBeLessThan(0.6 * 400);
    const fine = run(one, 20, filledFrom(coarse, 20), places);
    const whole = run(one, 20, filledFrom(undefined, 20), placesToRun(undefined, 20));
    const off = whole.cells.filter((cell, at) => cell?.zone !== fine.cells[at]?.zone).length;
    // A zone thinner than a place of the coarse grid is missed by design.
    expect(off / 400).toBeLessThan(0.03);
  });

  it('names the same zones with a step of 20 µs as with 10', () => {
    const one = request(planned({ mode: 'pulse', seam: thinTee }));
    const at = (stepS: number) => run({ ...one, stepS }, 8, filledFrom(undefined, 8), placesToRun(undefined, 8));
    const [coarse, fine] = [at(20e-6), at(10e-6)];
    const off = coarse.cells.filter((cell, place) => cell?.zone !== fine.cells[place]?.zone).length;
    // Places on a border fall to either side.
    expect(off).toBeLessThanOrEqual(4);
  });

  it('finds islands of one place', () => {
    const cell = (zone: Zone): Cell => ({ zone, shortsPerS: 0, dropsPerPulse: 1, arcLengthMm: 3 });
    const cells = Array.from({ length: 25 }, (_, at) => cell(at === 12 ? 'crackle' : 'hum'));
    const axis = { axis: 'trimMm', from: 0, to: 1 } as const;
    expect(islandsOf({ count: 5, x: axis, y: axis, cells })).toEqual([12]);
  });
});
