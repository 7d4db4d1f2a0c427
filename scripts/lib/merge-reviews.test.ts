import { describe, expect, it } from '@jest/globals';
import { mergeReviews } from './merge-reviews.ts';

const english = { zinc: 'Zinc fume: {what}', by: 'By hand' };
const german = { zinc: 'Zinkdampf: {what}', by: 'Mit Hand' };
const read = (key: string, text: string, said: string = english[key as keyof typeof english]) => ({
  key,
  text,
  english: said,
  by: 'Mirja Keskalo',
  at: '2026-12-02T08:00:00Z',
});
const merge = (...reviews: ReturnType<typeof read>[]) =>
  mergeReviews({ format: 'fox-tempo/words', language: 'de', reviews }, english, german, {}, new Set(['zinc']));

describe('reviews that were sent back', () => {
  it('become the shipped text, and a hazard among them has its reader', () => {
    const merged = merge(read('zinc', 'Zinkrauch: {what}'), read('by', 'Von Hand'));
    expect(merged.catalogue).toEqual({ zinc: 'Zinkrauch: {what}', by: 'Von Hand' });
    expect(merged.reviews).toEqual({
      de: { zinc: { by: 'Mirja Keskalo', on: '2026-12-02', text: 'Zinkrauch: {what}' } },
    });
    expect(merged.left).toEqual([]);
  });
  it('are left out where the English has changed since, or other values are named', () => {
    const merged = merge(read('by', 'Von Hand', 'With the hand'), read('zinc', 'Zinkrauch'));
    expect(merged.catalogue).toEqual(german);
    expect(merged.left).toEqual(['by: its English has changed since', 'zinc: it names other values than its English']);
  });
});
