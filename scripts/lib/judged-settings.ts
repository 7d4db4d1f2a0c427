/** Settings whose faults the judge is measured on: three metals, pulse and dip, usual sizes. */
import type { PlanInput } from '@fox-tempo/core/setting/plan';
import { standardSite } from '@fox-tempo/core/site';

export const lengthMm = 250;

const common = { arcHabit: 'by-joint', site: standardSite } as const;
const fillet = { joint: 'tee', position: 'PB', gapMm: 0, lengthMm } as const;
export const setups: readonly PlanInput[] = [
  {
    ...common,
    mode: 'pulse',
    filler: 'steel-solid',
    gas: 'M21-ArC-18',
    diameterMm: 1.2,
    seam: { ...fillet, materialGroup: 'steel', thicknessesMm: [5, 5] },
  },
  {
    ...common,
    mode: 'pulse',
    filler: 'steel-solid',
    gas: 'M20-ArC-8',
    diameterMm: 1,
    seam: { ...fillet, materialGroup: 'steel', thicknessesMm: [3, 3] },
  },
  {
    ...common,
    mode: 'dip',
    filler: 'steel-solid',
    gas: 'M21-ArC-18',
    diameterMm: 1,
    seam: { ...fillet, materialGroup: 'steel', thicknessesMm: [2, 2] },
  },
  {
    ...common,
    mode: 'pulse',
    filler: 'stainless-308l',
    gas: 'M12-ArC-2',
    diameterMm: 1,
    seam: { ...fillet, materialGroup: 'stainless', thicknessesMm: [2, 2] },
  },
  {
    ...common,
    mode: 'dip',
    filler: 'stainless-308l',
    gas: 'M12-ArC-2',
    diameterMm: 0.8,
    seam: { ...fillet, materialGroup: 'stainless', thicknessesMm: [1.5, 1.5] },
  },
  {
    ...common,
    mode: 'pulse',
    filler: 'aluminium-5356',
    gas: 'I1',
    diameterMm: 1.2,
    seam: { ...fillet, materialGroup: 'aluminium', thicknessesMm: [3, 3] },
  },
  {
    ...common,
    mode: 'pulse',
    filler: 'aluminium-4043',
    gas: 'I1',
    diameterMm: 1.2,
    seam: { ...fillet, materialGroup: 'aluminium', thicknessesMm: [4, 4] },
  },
];
