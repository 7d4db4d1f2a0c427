/** What the demo shop has measured, stored and has in stock. All invented; moments are days before the seeding. */
import type { CylinderSave, SpoolSave } from '@fox-tempo/contract';

export const leadReadings = [
  { machineId: 'rowan', daysAgo: 41, mOhm: 13.2, note: 'new return clamp' },
  { machineId: 'rowan', daysAgo: 27, mOhm: 13.6, note: '' },
  { machineId: 'rowan', daysAgo: 13, mOhm: 14.1, note: '' },
  { machineId: 'alder', daysAgo: 40, mOhm: 10.6, note: 'gun changed' },
  { machineId: 'alder', daysAgo: 20, mOhm: 13.0, note: '' },
  { machineId: 'alder', daysAgo: 4, mOhm: 15.9, note: 'clamp runs warm' },
  { machineId: 'hazel', daysAgo: 30, mOhm: 17.0, note: '' },
] as const;

export const stepTimes = [
  { machineId: 'rowan', kind: 'gas', minutes: 4 },
  { machineId: 'rowan', kind: 'liner', minutes: 18 },
  { machineId: 'rowan', kind: 'wire', minutes: 7 },
  { machineId: 'hazel', kind: 'wire', minutes: 5 },
] as const;

/** Slots filled in this order; `drift` is what somebody later found instead. */
export const slots = [
  { machineId: 'rowan', slot: 3, seamId: 'axle-plate-to-tube', daysAgo: 38, note: 'first trial' },
  {
    machineId: 'rowan',
    slot: 3,
    seamId: 'axle-plate-to-tube',
    daysAgo: 20,
    note: 'passed, drawn back two steps',
    drift: { 'wire-feed': 8.1, 'arc-index': 52 },
  },
  { machineId: 'rowan', slot: 4, seamId: 'frame-corner-butt', daysAgo: 19, note: '' },
  { machineId: 'rowan', slot: 7, seamId: 'hitch-bracket-fillet', daysAgo: 12, note: '5 mm leg measured' },
  { machineId: 'hazel', slot: 2, seamId: 'counter-corner', daysAgo: 30, note: 'bright, no print-through' },
  { machineId: 'hazel', slot: 4, seamId: 'sink-flange-lap', daysAgo: 9, note: '' },
  { machineId: 'alder', slot: 27, seamId: 'trike-box-floor', daysAgo: 16, note: 'first half of the seam' },
  { machineId: 'alder', slot: 31, seamId: 'trike-lid-seam', daysAgo: 14, note: 'customer likes the ripples' },
  { machineId: 'alder', slot: 28, seamId: 'trike-frame-node', daysAgo: 15, note: '' },
] as const;

export const cylinders: readonly (CylinderSave & { readonly id: string })[] = [
  {
    id: 'mix-1',
    name: 'Mix 1',
    gas: 'M21-ArC-18',
    volumeL: 50,
    pressureBar: 96,
    massKg: null,
    convention: 'gauge at the regulator',
    machineId: 'rowan',
  },
  {
    id: 'mix-2',
    name: 'Mix 2',
    gas: 'M21-ArC-18',
    volumeL: 50,
    pressureBar: 200,
    massKg: null,
    convention: 'gauge at the regulator',
    machineId: null,
  },
  {
    id: 'bright-1',
    name: 'Bright 1',
    gas: 'M12-ArC-2',
    volumeL: 20,
    pressureBar: 8,
    massKg: null,
    convention: 'gauge at the regulator',
    machineId: 'hazel',
  },
  {
    id: 'argon-1',
    name: 'Argon 1',
    gas: 'I1',
    volumeL: 50,
    pressureBar: 138,
    massKg: null,
    convention: 'gauge at the regulator',
    machineId: 'alder',
  },
  {
    id: 'coal-1',
    name: 'CO₂ 1',
    gas: 'C1',
    volumeL: 40,
    pressureBar: 57,
    massKg: 11.5,
    convention: 'scale',
    machineId: null,
  },
];

export const spools: readonly (SpoolSave & { readonly id: string })[] = [
  { id: 'steel-10-a', name: 'Steel 1.0, A', filler: 'steel-solid', diameterMm: 1.0, massKg: 6.4, machineId: 'rowan' },
  { id: 'steel-10-b', name: 'Steel 1.0, B', filler: 'steel-solid', diameterMm: 1.0, massKg: 15, machineId: 'alder' },
  { id: 'steel-12-a', name: 'Steel 1.2, A', filler: 'steel-solid', diameterMm: 1.2, massKg: 15, machineId: null },
  {
    id: 'bright-08-a',
    name: 'Stainless 0.8, A',
    filler: 'stainless-solid',
    diameterMm: 0.8,
    massKg: 2.1,
    machineId: 'hazel',
  },
  {
    id: 'bright-10-a',
    name: 'Stainless 1.0, A',
    filler: 'stainless-solid',
    diameterMm: 1.0,
    massKg: 12.5,
    machineId: null,
  },
  { id: 'almg-12-a', name: 'AlMg5 1.2, A', filler: 'aluminium-5356', diameterMm: 1.2, massKg: 1.3, machineId: 'alder' },
  { id: 'alsi-12-a', name: 'AlSi5 1.2, A', filler: 'aluminium-4043', diameterMm: 1.2, massKg: 7, machineId: null },
  { id: 'braze-10-a', name: 'CuSi3 1.0, A', filler: 'cusi3', diameterMm: 1.0, massKg: 9, machineId: null },
];
