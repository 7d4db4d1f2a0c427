import { describe, expect, it } from '@jest/globals';
import { electricalOf } from '@fox-tempo/core/weld/score';
import { program } from '../../../testing/shop.ts';
import { levelIn, levelText, levelUnits, otherLevels, percentFrom } from './levels.ts';

const made = program();
const scale = { feedMPerMin: made.wireFeedMPerMin, electrical: electricalOf(made) };

describe('levels in three tongues', () => {
  it.each(levelUnits)('%s goes there and back', (unit) => {
    for (const percent of [60, 100, 130]) {
      expect(percentFrom(levelIn(percent, unit, scale), unit, scale)).toBeCloseTo(percent, 1);
    }
  });

  it('says the others beside the one in use', () => {
    expect(otherLevels(100, 'percent', scale)).toBe(
      `${levelText(100, 'feed', scale)}, ${levelText(100, 'current', scale)}`,
    );
    expect(otherLevels(100, 'feed', scale)).toContain('100 %');
  });

  it('knows no percent for a current that no feed makes', () => {
    expect(percentFrom(5000, 'current', scale)).toBeUndefined();
  });
});
