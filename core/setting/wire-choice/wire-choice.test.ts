import { gradeNamed } from '../../metal/grades/index.ts';
import type { Phrase } from '../../base/messages/index.ts';
import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { scenarios } from '../../scenarios/index.ts';
import { feedRisk, flowBand, rankFillers, rankGases, rankSizes, retestList } from './index.ts';

const scenario = (id: string) => scenarios.find((one) => one.id === id)!;
const trike = scenario('trike-box-floor');
const frame = scenario('axle-plate-to-tube');
const rail = scenario('canopy-rail-lap');
const first = <T>(list: readonly { verdict: string; value: T }[]) =>
  list.find((one) => one.verdict === 'first choice')?.value;
const row = <T>(
  list: readonly { value: T; verdict: string; reasons: readonly Phrase[]; cautions: readonly Phrase[] }[],
  value: T,
) => list.find((one) => one.value === value)!;

describe('which filler', () => {
  it('follows the grade: AlMg5 on 5754 and 5083, AlSi5 first on 6082 unless it is anodised', () => {
    expect(first(rankFillers(trike.input.seam, { grade: trike.grade }))).toBe('aluminium-5356');
    expect(row(rankFillers(trike.input.seam, { grade: 'EN AW 5083' }), 'aluminium-4043').verdict).toBe('ruled out');
    expect(first(rankFillers(trike.input.seam, { grade: '6082 frame' }))).toBe('aluminium-4043');
    const anodised = rankFillers(trike.input.seam, { grade: '6082 frame', anodised: true });
    expect(first(anodised)).toBe('aluminium-5356');
    expect(inEnglish(row(anodised, 'aluminium-4043').cautions).join(' ')).toContain('dark grey');
  });

  it('brazes coated sheet, and rules out what does not join', () => {
    expect(first(rankFillers(rail.input.seam))).toBe('cusi3');
    expect(row(rankFillers(rail.input.seam), 'aluminium-4043').verdict).toBe('ruled out');
    expect(first(rankFillers(frame.input.seam))).toBe('steel-solid');
  });

  it('knows a grade in free text by code or other name, of the seam’s own metal only', () => {
    expect(gradeNamed('sheet 1.4404, brushed', 'stainless')?.code).toBe('316L');
    expect(gradeNamed('304L', 'aluminium')).toBeUndefined();
    expect(gradeNamed('', 'steel')).toBeUndefined();
  });
});

describe('which size', () => {
  it('plans each, with the feed it would run at, and says how inch sizes differ', () => {
    const sizes = rankSizes(frame.input);
    expect(inEnglish(row(sizes, 1.0).reasons[0])).toMatch(/^5\.\d m\/min for \d+ A/);
    // (0.8 / 0.762)² = 1.102 and (1.2 / 1.143)² = 1.102: ten percent more metal.
    expect(inEnglish(row(sizes, 0.8).reasons).join(' ')).toContain('10.2 % more metal than 0.030 in');
    expect(inEnglish(row(sizes, 1.6).cautions).join(' ')).toContain('runs slowly');
    // An 8 mm fillet asks for more current than the thinnest wire can pulse.
    const thick = { ...frame.input, seam: { ...frame.input.seam, thicknessesMm: [8, 8] as const, legMm: 6 } };
    expect(row(rankSizes(thick), 0.6).verdict).toBe('ruled out');
    expect(inEnglish(row(rankSizes(thick), 0.6).reasons[0])).toContain('m/min');
  });
});

describe('which gas', () => {
  it('rules out by the gates of pulse, and says where the gas would serve', () => {
    const gases = rankGases(frame.input);
    expect(['M20-ArC-8', 'M21-ArC-18', 'M20-ArC-15']).toContain(first(gases));
    expect(row(gases, 'C1').verdict).toBe('ruled out');
    expect(inEnglish(row(gases, 'C1').reasons).join(' ')).toContain('It would serve in dip.');
    expect(inEnglish(row(gases, 'I1').cautions).join(' ')).toContain('wanders');
    const aluminium = rankGases(trike.input);
    expect(inEnglish(first(aluminium))).toBe('I1');
    expect(inEnglish(row(aluminium, 'M21-ArC-18').reasons).join(' ')).not.toContain('would serve');
  });
});

describe('what a change opens again', () => {
  const at = { mode: 'pulse', ctwdMm: 17.5, wireFeedMPerMin: 7, travelMmPerMin: 600 } as const;
  const alsi = { filler: 'aluminium-4043', diameterMm: 1.2, gas: 'I1' } as const;
  const almg = { ...alsi, filler: 'aluminium-5356' } as const;
  const ids = (list: ReturnType<typeof retestList>) => list.map((one) => one.id);

  it('is nothing without a change, and only the gas’s own for a gas', () => {
    expect(retestList(alsi, alsi, at)).toEqual([]);
    expect(ids(retestList(alsi, { ...alsi, gas: 'I3-ArHe-30' }, at))).toEqual([
      'trim',
      'pulse',
      'lowest-feed',
      'flow',
      'penetration',
    ]);
  });

  it('names how much more AlMg5 feeds than AlSi5 for the same current, 15 to 20 %', () => {
    const [feed, ...rest] = retestList(alsi, almg, at);
    const [, amps, to, from] = /^(\d+) A takes (\d+\.\d) m\/min instead of (\d+\.\d)/
      .exec(inEnglish(feed!.why))!
      .map(Number);
    expect(amps).toBeGreaterThan(100);
    expect(to! / from!).toBeGreaterThan(1.12);
    expect(to! / from!).toBeLessThan(1.22);
    expect(ids(rest)).toEqual(expect.arrayContaining(['starts-and-stops', 'wire-path', 'strength', 'looks', 'record']));
    expect(ids(rest)).not.toContain('flow');
  });

  it('counts the metal of a size that only looks the same', () => {
    const [feed] = retestList(
      { filler: 'steel-solid', diameterMm: 0.762, gas: 'M21-ArC-18' },
      { filler: 'steel-solid', diameterMm: 0.8, gas: 'M21-ArC-18' },
      { ...at, wireFeedMPerMin: 6 },
    );
    expect(inEnglish(feed!.why)).toContain('10 % more metal');
    // 6000 mm/min x 0.456 mm² x 0.98 / 600 mm/min.
    expect(inEnglish(feed!.why)).toMatch(/4\.5 mm³ per mm before/);
  });
});

describe('flow and feeding', () => {
  const wire = { filler: 'steel-solid', diameterMm: 1.0, mode: 'pulse', ctwdMm: 13.5 } as const;

  it('bands grow with bore, stick-out and draught, and stop where air is drawn in', () => {
    // 12 L/min at 0.8 mm wire and 10 more per mm, give or take 2.
    expect(flowBand(wire, 16, false)).toMatchObject({ lowLPerMin: 12, highLPerMin: 16 });
    expect(flowBand(wire, 16, true).highLPerMin).toBeCloseTo(16 * 1.15, 9);
    expect(flowBand({ ...wire, ctwdMm: 23.5 }, 16, false).lowLPerMin).toBeGreaterThan(12);
    expect(inEnglish(flowBand({ ...wire, diameterMm: 1.2 }, 24, true).caution)).toContain('25 L/min');
    expect(inEnglish(flowBand({ ...wire, diameterMm: 0.6, mode: 'dip', ctwdMm: 10 }, 12, false).caution)).toContain(
      '8 L/min',
    );
    expect(flowBand({ ...wire, filler: 'steel-self-shielded' }, 16, false).highLPerMin).toBe(0);
  });

  it('risk rises with softness, length and the wrong liner', () => {
    expect(feedRisk('steel-solid', 1.0, 4, 'steel')).toMatchObject({ score: 0, words: 'easy' });
    const soft = feedRisk('aluminium-4043', 1.0, 3, 'polymer');
    expect(feedRisk('aluminium-4043', 1.0, 4.5, 'polymer').score).toBeGreaterThan(soft.score);
    expect(feedRisk('aluminium-4043', 0.8, 4, 'steel')).toMatchObject({ words: 'risky' });
    expect(inEnglish(feedRisk('aluminium-4043', 0.8, 4, 'steel').helps)).toContain('polymer liner');
  });
});
