import { describe, expect, it } from '@jest/globals';
import { notInStock } from './not-in-stock.ts';

const needs = (filler: 'steel-solid' | 'stainless-308l', diameterMm: number, gas: string) => ({
  revision: { program: { filler, diameterMm, gas } },
});
const seams = [
  needs('steel-solid', 1, 'M21-ArC-18'),
  needs('steel-solid', 1, 'M21-ArC-18'),
  needs('stainless-308l', 0.8, 'M12-ArC-2'),
  { revision: null },
];
const spool = { filler: 'steel-solid' as const, diameterMm: 1, retired: false };
const cylinder = { gas: 'M12-ArC-2', retired: false };

describe('what seams need and the shop has none of', () => {
  it('is everything in an empty shop, each once with how many seams want it', () => {
    expect(notInStock(seams, { cylinders: [], spools: [] }).map((one) => one.seams)).toEqual([2, 1, 2, 1]);
  });
  it('is what is left beside spools and cylinders that are there', () => {
    expect(notInStock(seams, { cylinders: [cylinder], spools: [spool] }).map((one) => one.seams)).toEqual([1, 2]);
  });
  it('counts nothing that was put away', () => {
    const away = { cylinders: [{ ...cylinder, retired: true }], spools: [{ ...spool, retired: true }] };
    expect(notInStock(seams, away)).toHaveLength(4);
  });
  it('is nothing where nothing was saved yet', () => {
    expect(notInStock([{ revision: null }], { cylinders: [], spools: [] })).toEqual([]);
  });
});
