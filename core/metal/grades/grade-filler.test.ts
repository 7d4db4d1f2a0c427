/** A grade counts where the wire is chosen: what fits, what is cautioned, what never goes in. */
import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { planSeam, standardSite, type PlanInput } from '../../setting/plan/index.ts';
import { rankFillers } from '../../setting/wire-choice/index.ts';
import { canonicalFiller, fillerOf, type FillerCode, type MaterialGroup } from '../consumables/index.ts';
import { gradeFit, gradeNamed, grades } from './index.ts';

function plan(materialGroup: MaterialGroup, grade: string, filler: FillerCode, gas: string) {
  const input: PlanInput = {
    seam: { materialGroup, grade, thicknessesMm: [3, 3], joint: 'tee', position: 'PB', gapMm: 0, lengthMm: 200 },
    arcHabit: 'by-joint',
    filler,
    gas,
    diameterMm: materialGroup === 'aluminium' ? 1.2 : 1,
    mode: 'pulse',
    site: standardSite,
  };
  return planSeam(input);
}
const codesOf = (planned: ReturnType<typeof plan>) =>
  planned.ok ? planned.value.warnings.map(({ code }) => code) : planned.issues.map(({ code }) => code);

describe('the list of grades', () => {
  it('holds the grades that shops ask for, each once, with fillers of its own metal', () => {
    const codes = grades.map(({ code }) => code);
    expect(new Set(codes).size).toBe(codes.length);
    expect(codes).toEqual(
      expect.arrayContaining(['S235', 'S355', 'S700MC', '304L', '316L', '2205', '5083', '5754', '6082-T6']),
    );
    for (const { code, fillers } of grades)
      for (const filler of fillers) expect([code, fillerOf(filler).code]).toEqual([code, filler]);
  });

  it.each([
    ['S235, square tube on plate', 'steel', 'S235'],
    ['S355J2+N, plate', 'steel', undefined],
    ['S355J2, plate', 'steel', 'S355'],
    ['6082, 4 mm', 'aluminium', '6082-T6'],
    ['EN AW-5083', 'aluminium', '5083'],
    ['sheet 1.4404, brushed', 'stainless', '316L'],
    ['Z275 coated sheet', 'galvanised', 'DX51D+Z275'],
    ['316L', 'aluminium', undefined],
    ['from the rack', 'steel', undefined],
  ] as const)('%s of %s is %s', (text, group, code) => {
    expect(gradeNamed(text, group)?.code).toBe(code);
  });
});

describe('the filler by the grade', () => {
  it('of 316L is a 316 wire; 308L is cautioned, with what to take', () => {
    const known = gradeNamed('316L', 'stainless')!;
    expect(gradeFit(known, 'stainless-316l')).toBeNull();
    expect(gradeFit(known, 'stainless-solid')).toMatchObject({ verdict: 'caution', instead: ['stainless-316l'] });
    expect(codesOf(plan('stainless', '316L', 'stainless-solid', 'M12-ArC-2'))).toContain('grade-filler');
    expect(codesOf(plan('stainless', '316L', 'stainless-316l', 'M12-ArC-2'))).not.toContain('grade-filler');
    const seam = {
      materialGroup: 'stainless',
      thicknessesMm: [3, 3],
      joint: 'tee',
      position: 'PB',
      gapMm: 0,
      lengthMm: 200,
    } as const;
    expect(rankFillers(seam, { grade: '316L' })[0]?.value).toBe('stainless-316l');
    expect(canonicalFiller(rankFillers(seam, { grade: '304L' })[0]!.value)).toBe(canonicalFiller('stainless-308l'));
  });

  it('of 5083 is never AlSi5: refused at the filler, with the way out', () => {
    const refused = plan('aluminium', '5083', 'aluminium-4043', 'I1');
    if (refused.ok) throw new Error('planned');
    expect(refused.issues[0]).toMatchObject({ path: 'filler', code: 'grade-filler', limit: ['aluminium-5356'] });
    expect(inEnglish(refused.issues[0]?.hint)).toMatch(/AlMg5/);
    expect(plan('aluminium', '5083', 'aluminium-5356', 'I1').ok).toBe(true);
    expect(codesOf(plan('aluminium', '6082-T6', 'aluminium-4043', 'I1'))).not.toContain('grade-filler');
  });

  it('of coated sheet goes by its coating, of high-strength steel by what the wire cannot hold', () => {
    expect(codesOf(plan('galvanised', 'Z275', 'steel-solid', 'M21-ArC-18'))).toContain('grade-filler');
    expect(codesOf(plan('galvanised', 'Z275', 'cusi3', 'I1'))).not.toContain('grade-filler');
    expect(codesOf(plan('steel', 'S700MC', 'steel-solid', 'M21-ArC-18'))).toContain('grade-filler');
    expect(codesOf(plan('steel', 'S355', 'steel-solid', 'M21-ArC-18'))).not.toContain('grade-filler');
  });

  it('says a grade that nobody knows, and nothing where none was given', () => {
    expect(codesOf(plan('steel', 'whatever was there', 'steel-solid', 'M21-ArC-18'))).toContain('grade-unknown');
    expect(codesOf(plan('steel', '', 'steel-solid', 'M21-ArC-18'))).not.toContain('grade-unknown');
  });
});
