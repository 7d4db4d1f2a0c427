/** What the code calls assumed stands in docs/limits.md, all of it and nothing else. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { assumptions, withAssumptions } from './assumptions.ts';

const page = readFileSync(new URL('../../docs/limits.md', import.meta.url), 'utf8');
const lines = (text: string) => text.split('\n').map((line) => line.replaceAll(/[\\*_]/g, ''));

describe('figures that nobody can vouch for', () => {
  it('are found where a comment marks them, with what they are called', () => {
    const found = assumptions();
    expect(found.length).toBeGreaterThan(50);
    expect(found).toContainEqual(
      expect.objectContaining({ file: 'core/machine/description/usual-feeder.ts', name: 'usualGunLengthM' }),
    );
    expect(found.filter(({ says }) => says.includes('nothing is assumed'))).toEqual([]);
  });

  it('stand in docs/limits.md as they stand in the code (npm run physics)', () => {
    expect(lines(page)).toEqual(lines(withAssumptions(page)));
  });
});
