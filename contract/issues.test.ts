import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { meltInput, parseWith, planInput, pulseInput, seamSave } from './index.ts';

function issuesOf(shape: Parameters<typeof parseWith>[0], value: unknown): readonly { path: string; code: string }[] {
  const parsed = parseWith(shape, value);
  return parsed.ok ? [] : parsed.issues.map(({ path, code }) => ({ path, code }));
}

describe('issues of the border', () => {
  it('lists everything at once, with path, code, limit and value', () => {
    const parsed = parseWith(pulseInput, {
      filler: 'steel',
      gas: 'M21-ArC-50',
      diameterMm: 12,
      wireFeedMPerMin: '5',
      x: 1,
    });
    expect(parsed.ok).toBe(false);
    if (parsed.ok) return;
    expect(parsed.issues.map((issue) => [issue.path, issue.code])).toEqual([
      ['filler', 'unknown-code'],
      ['gas', 'gas-group-mismatch'],
      ['diameterMm', 'out-of-range'],
      ['wireFeedMPerMin', 'wrong-type'],
      ['x', 'unknown-field'],
    ]);
    expect(parsed.issues[2]).toMatchObject({ limit: [0.6, 1.6], got: 12 });
  });

  it.each([
    [meltInput, undefined, '', 'missing'],
    [meltInput, null, '', 'wrong-type'],
    [meltInput, [], '', 'wrong-type'],
    [meltInput, { filler: 'steel-solid', diameterMm: Number.NaN, extensionMm: 10 }, 'diameterMm', 'wrong-type'],
    [meltInput, { filler: 'steel-solid', diameterMm: 1e300, extensionMm: 10 }, 'diameterMm', 'out-of-range'],
    [planInput, { seam: { thicknessesMm: [1] } }, 'seam.thicknessesMm', 'out-of-range'],
    [seamSave, { spec: {}, choice: null }, 'choice', 'wrong-type'],
  ])('%# names the field', (shape, value, path, code) => {
    expect(issuesOf(shape, value)).toContainEqual({ path, code });
  });

  it('names each thickness by its place', () => {
    const seam = {
      materialGroup: 'steel',
      thicknessesMm: [0, 400],
      joint: 'tee',
      position: 'PB',
      gapMm: 0,
      lengthMm: 100,
    };
    const parsed = parseWith(planInput, {
      seam,
      arcHabit: 'by-joint',
      filler: 'steel-solid',
      gas: 'C1',
      diameterMm: 1,
      mode: 'pulse',
    });
    expect(inEnglish(parsed.ok ? [] : parsed.issues.map((issue) => issue.message))).toEqual([
      'Thickness must lie between 0.6 and 25 mm; got 0 mm.',
      'Thickness must lie between 0.6 and 25 mm; got 400 mm.',
    ]);
  });
});
