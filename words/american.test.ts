import { describe, expect, it } from '@jest/globals';
import { american } from './american.ts';
import english from './en.json' with { type: 'json' };
import { makeWords, wordsIn } from './index.ts';

describe('English in US units', () => {
  it('is spelt as in the US; values and choices keep their names', () => {
    const words = makeWords(
      { paint: 'Aluminium, {colour, select, grey {grey} other {anodised}} per metre: {metre}' },
      'en',
      'us',
    );
    expect(words.format({ code: 'paint', values: { colour: 'grey', metre: 'one' } })).toBe(
      'Aluminum, gray per meter: one',
    );
  });

  it('has no British spelling left in any sentence', () => {
    const british = /\b\w*(?:colour|vapour|labour|[^rmv]ised\b|metre|aluminium|grey|draught|callip|practise|modelled)/i;
    expect(Object.values(english).some((pattern) => british.test(pattern))).toBe(true);
    const readable = Object.values(english).map((pattern) => pattern.replaceAll(/\{\s*\w+\s*[,}]/g, ' '));
    expect(readable.map(american).filter((said) => british.test(said))).toEqual([]);
  });

  it('follows the units, and leaves metric pages and other languages alone', async () => {
    expect((await wordsIn('en', 'us')).t('name.aluminium')).toBe('aluminum');
    expect((await wordsIn('en', 'metric')).t('name.aluminium')).toBe('aluminium');
    expect((await wordsIn('es', 'us')).t('name.aluminium')).toBe('aluminio');
  });
});
