import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { hazel, rowan } from '../../scenarios/index.ts';
import { directionTestFor, fitLine, modelAmps, withDirection } from './index.ts';
import { driftReport } from '../dials/index.ts';
import { lookAlikes, searchChart, type ChartLine, type ChartPoint } from '../description/index.ts';

const steel: ChartLine = {
  number: 1,
  words: 'Steel 1.0',
  filler: 'steel-solid',
  diameterMm: 1,
  gas: 'M21-ArC-18',
  mode: 'pulse',
};
const fitted = (points: readonly ChartPoint[]) => {
  const fit = fitLine({ ...steel, points });
  if (!fit.ok) throw new Error(inEnglish(fit.issues[0]?.message));
  return fit.value;
};

describe('a line taught from the door chart', () => {
  const points = [
    { wireFeedMPerMin: 4, currentA: 90, voltageV: 22 },
    { wireFeedMPerMin: 6, currentA: 122, voltageV: 24 },
    { wireFeedMPerMin: 8, currentA: 152, voltageV: 26 },
    { wireFeedMPerMin: 10, currentA: 180, voltageV: 28 },
  ];

  it('goes through its points and never falls', () => {
    const line = fitted(points);
    // A power law through these is good to 1 %.
    expect(line.ampsAt(7)! / 137.5).toBeCloseTo(1, 1);
    expect(line.voltsAt(7)).toBeCloseTo(25, 6);
    expect(line.points.every((point) => point.doubt === undefined)).toBe(true);
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            wireFeedMPerMin: fc.double({ min: 2, max: 15, noNaN: true }),
            currentA: fc.double({ min: 50, max: 300, noNaN: true }),
          }),
          {
            minLength: 2,
            maxLength: 8,
          },
        ),
        (some) => {
          const fit = fitLine({ ...steel, points: some });
          if (!fit.ok) return;
          expect(fit.value.ampsAt(9)!).toBeGreaterThanOrEqual(fit.value.ampsAt(5)! - 1e-9);
        },
      ),
    );
  });

  it('names the doubtful point: a slipped digit stands out against the others', () => {
    const line = fitted([...points.slice(0, 2), { wireFeedMPerMin: 8, currentA: 125, voltageV: 26 }, points[3]!]);
    const doubtful = line.points.filter((point) => point.doubt !== undefined);
    expect(doubtful.map((point) => point.index)).toContain(2);
    expect(inEnglish(line.points[2]!.doubt)).toContain('below');
  });

  it('takes thickness and amperes where no feed is printed, with the feed from the melting model', () => {
    const line = fitted([
      { thicknessMm: 2, currentA: 100 },
      { thicknessMm: 4, currentA: 170 },
    ]);
    const [first] = line.points;
    expect(first!.feedComputed).toBe(true);
    // The feed found melts at the current given.
    expect(modelAmps(steel, first!.wireFeedMPerMin)).toBeCloseTo(100, 0);
    const middle = (line.points[0]!.wireFeedMPerMin + line.points[1]!.wireFeedMPerMin) / 2;
    expect(line.thicknessAt(middle)).toBeCloseTo(3, 6);
    expect(line.feedAtThickness(3)).toBeCloseTo(middle, 6);
  });

  it.each([
    ['one point', [{ wireFeedMPerMin: 5, currentA: 100 }], 'too-few-points', 'points'],
    [
      'a point that says nothing',
      [{ voltageV: 20 }, { wireFeedMPerMin: 5, currentA: 100 }],
      'point-without-feed',
      'points.0',
    ],
    [
      'one feed with two currents',
      [
        { wireFeedMPerMin: 5, currentA: 100 },
        { wireFeedMPerMin: 5, currentA: 120 },
      ],
      'duplicate-feed',
      'points.1',
    ],
  ])('%s is refused', (_name, some, code, path) => {
    expect(fitLine({ ...steel, points: some })).toMatchObject({ ok: false, issues: [{ code, path }] });
  });
});

describe('which way a dial runs', () => {
  const evidence = { result: 'reversed', by: 'Mirja Keskalo', on: '2026-11-20' } as const;

  it('is turned round by a test that says so, with the evidence kept', () => {
    const turned = withDirection(hazel, 'share', evidence);
    if (!turned.ok) throw new Error();
    const dial = turned.value.dials.find((one) => one.id === 'share')!;
    expect(dial).toMatchObject({ senseTested: true, evidence: [evidence], scale: { quantityPerUnit: -1 } });
    const again = withDirection(turned.value, 'share', { ...evidence, result: 'as-described' });
    expect(again.ok && again.value.dials.find((one) => one.id === 'share')).toMatchObject({
      scale: { quantityPerUnit: -1 },
      evidence: [evidence, { result: 'as-described' }],
    });
  });

  it('cannot be turned where there is no sense, or no dial', () => {
    expect(withDirection(hazel, 'recipe', evidence)).toMatchObject({
      ok: false,
      issues: [{ code: 'nothing-to-turn' }],
    });
    expect(withDirection(hazel, 'nowhere', evidence)).toMatchObject({ ok: false, issues: [{ code: 'unknown-dial' }] });
  });

  it('is found by short tests that never ask for a look into a nozzle or a hand on live wire', () => {
    for (const dial of [...hazel.dials, ...rowan.dials]) {
      const test = directionTestFor(dial);
      if (!test) continue;
      const words = inEnglish([test.safety, ...test.steps, test.question])
        .join(' ')
        .toLowerCase();
      expect(test.minutes).toBeLessThanOrEqual(2);
      expect(words).toContain('glove');
      expect(words).not.toMatch(/thumb|look into the nozzle and|feel the wire/);
      expect(inEnglish(test.answers.asDescribed)).not.toBe(test.answers.reversed);
    }
  });
});

describe('numbers on the chart', () => {
  it('are taken for one another when digits are swapped or stand beside each other', () => {
    const line = (number: number) => rowan.chartLines.find((one) => one.number === number)!;
    const alike = lookAlikes(rowan.chartLines, line(12)).map((one) => one.number);
    expect(alike[0]).toBe(21);
    expect(alike).not.toContain(45);
    // Another mode on the same wire and gas is no other wire.
    expect(lookAlikes(rowan.chartLines, line(21)).map((one) => one.number)).toContain(22);
  });

  it('are found by words in any order', () => {
    expect(searchChart(rowan.chartLines, 'co₂ 1,0 dip').map((one) => one.number)).toEqual([15, 41]);
    expect(searchChart(rowan.chartLines, '')).toHaveLength(rowan.chartLines.length);
    expect(searchChart(rowan.chartLines, '27')).toHaveLength(1);
  });
});

describe('drift of a memory', () => {
  it('names each dial that stands otherwise and what that does', () => {
    const reference = { 'wire-feed': 7.8, 'arc-index': 46, firmness: 0, creep: 50 };
    const lines = driftReport(rowan, reference, { 'wire-feed': 7.8, 'arc-index': 52, creep: 60, trigger: 1 }, steel);
    expect(lines.map(({ dialId, verdict }) => [dialId, verdict])).toEqual([
      ['arc-index', 'drifted'],
      ['creep', 'drifted'],
      ['trigger', 'not stored'],
      ['firmness', 'not read'],
      ['wire-feed', 'same'],
    ]);
    // Six steps of 0.12 mm.
    expect(inEnglish(lines[0]!.means)).toBe('arc length trim +0.72 mm, longer arc');
    // A percentage leans on the feed beside it: 60 % of 7.8 m/min.
    expect(inEnglish(lines[1]!.means)).toContain('+0.78 m/min, faster approach');
  });
});
