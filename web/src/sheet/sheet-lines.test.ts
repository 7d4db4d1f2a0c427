import { steelPulse, steelTee } from '@fox-tempo/core/scenarios';
import { describe, expect, it } from '@jest/globals';
import type { Sheet } from './sheet-fields.ts';
import { differingLines, mergedSheet, sheetLines } from './sheet-lines.ts';

const base: Sheet = { spec: { ...steelTee, name: 'Corner', lengthMm: 100 }, choice: steelPulse };
const mine: Sheet = { ...base, spec: { ...base.spec, gapMm: 1, lengthMm: 120 } };
const theirs: Sheet = {
  spec: { ...base.spec, legMm: 4, lengthMm: 150 },
  choice: { ...base.choice, wireFeedMPerMin: 6.5 },
};

describe('two versions of a sheet', () => {
  it('proposes for each line the one who changed it, and marks what both changed', () => {
    const lines = differingLines(base, mine, theirs);
    expect(lines.map(({ line, proposed, isContested }) => [line.label, proposed, isContested])).toEqual([
      ['Gap', 'mine', false],
      ['Leg', 'theirs', false],
      ['Length', 'mine', true],
      ['Wire feed speed', 'theirs', false],
    ]);
  });

  it('makes one sheet of both', () => {
    const taken = differingLines(base, mine, theirs).filter(({ proposed }) => proposed === 'theirs');
    const both = mergedSheet(
      mine,
      theirs,
      taken.map(({ line }) => line),
    );
    expect(both.spec).toMatchObject({ gapMm: 1, legMm: 4, lengthMm: 120 });
    expect(both.choice.wireFeedMPerMin).toBe(6.5);
  });

  it('has a line for everything a sheet can hold, so that no difference is silent', () => {
    for (const key of Object.keys(base.spec)) {
      const changed = { ...base, spec: { ...base.spec, [key]: 'changed' } };
      expect(sheetLines.filter((line) => line.of(changed) !== line.of(base)).length).toBeGreaterThan(0);
    }
    for (const key of Object.keys(base.choice)) {
      const changed = { ...base, choice: { ...base.choice, [key]: 'changed' } };
      const differs = sheetLines.filter((line) => JSON.stringify(line.of(changed)) !== JSON.stringify(line.of(base)));
      expect(differs.length).toBeGreaterThan(0);
    }
  });
});
