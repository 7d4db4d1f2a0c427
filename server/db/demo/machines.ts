/** The three invented machines. Rowan is described in full; Hazel and Alder are outlined until their dials are taught. */
import type { MachineFile, MachineResource } from '@fox-tempo/contract';

interface DemoMachine {
  readonly id: string;
  readonly file: MachineFile;
  readonly standing: Omit<NonNullable<MachineResource['standing']>, 'since'>;
}

const rowan: MachineFile = {
  format: 'fox-tempo/machine',
  version: 1,
  name: 'Rowan',
  place: 'bay 2',
  about: 'Two-level double pulse; arc length on a bare scale of 0 to 100; 15 memories.',
  circuitMOhm: 14,
  limits: { peakCurrentA: 500, wireFeedMPerMin: [1.5, 22] },
  dials: [
    { id: 'line', label: 'Line', where: 'list key under the screen', unit: '', scale: { kind: 'chart-line' } },
    {
      id: 'wire-feed',
      label: 'Wire feed',
      where: 'left knob',
      unit: 'm/min',
      scale: {
        kind: 'linear',
        quantity: 'wireFeedMPerMin',
        neutral: 0,
        quantityAtNeutral: 0,
        quantityPerUnit: 1,
        min: 1.5,
        max: 22,
        step: 0.1,
      },
    },
    {
      id: 'arc-index',
      label: 'Arc index',
      where: 'right knob, 0 to 100',
      unit: '',
      sense: 'more is longer, 50 is the line',
      scale: {
        kind: 'linear',
        quantity: 'trimMm',
        neutral: 50,
        quantityAtNeutral: 0,
        quantityPerUnit: 0.12,
        min: 0,
        max: 100,
        step: 1,
      },
    },
    {
      id: 'softness',
      label: 'Softness',
      where: 'menu 2',
      unit: '',
      sense: 'more is softer',
      scale: {
        kind: 'linear',
        quantity: 'stiffness',
        neutral: 0,
        quantityAtNeutral: 0,
        quantityPerUnit: -1,
        min: -10,
        max: 10,
        step: 1,
      },
    },
    {
      id: 'fast-peak',
      label: 'Fast peak',
      where: 'menu 3',
      unit: 'A',
      scale: {
        kind: 'linear',
        quantity: 'peakCurrentA',
        neutral: 0,
        quantityAtNeutral: 0,
        quantityPerUnit: 1,
        min: 200,
        max: 500,
        step: 5,
      },
    },
  ],
  chartLines: [
    {
      number: 11,
      words: 'Steel 0.8, argon with 18 CO₂',
      filler: 'steel-solid',
      diameterMm: 0.8,
      gas: 'M21-ArC-18',
      mode: 'pulse',
    },
    {
      number: 12,
      words: 'Steel 1.0, argon with 18 CO₂',
      filler: 'steel-solid',
      diameterMm: 1.0,
      gas: 'M21-ArC-18',
      mode: 'pulse',
    },
    {
      number: 13,
      words: 'Steel 1.2, argon with 18 CO₂',
      filler: 'steel-solid',
      diameterMm: 1.2,
      gas: 'M21-ArC-18',
      mode: 'pulse',
    },
    {
      number: 14,
      words: 'Steel 1.0, argon with 8 CO₂',
      filler: 'steel-solid',
      diameterMm: 1.0,
      gas: 'M20-ArC-8',
      mode: 'pulse',
    },
    {
      number: 17,
      words: 'Stainless 0.8, argon with 2 CO₂',
      filler: 'stainless-solid',
      diameterMm: 0.8,
      gas: 'M12-ArC-2',
      mode: 'pulse',
    },
    {
      number: 18,
      words: 'Stainless 1.0, argon with 2 CO₂',
      filler: 'stainless-solid',
      diameterMm: 1.0,
      gas: 'M12-ArC-2',
      mode: 'pulse',
    },
    {
      number: 19,
      words: 'Stainless 1.2, argon with 2 CO₂',
      filler: 'stainless-solid',
      diameterMm: 1.2,
      gas: 'M12-ArC-2',
      mode: 'pulse',
    },
    { number: 24, words: 'AlSi5 1.2, argon', filler: 'aluminium-4043', diameterMm: 1.2, gas: 'I1', mode: 'pulse' },
    { number: 26, words: 'AlMg5 1.0, argon', filler: 'aluminium-5356', diameterMm: 1.0, gas: 'I1', mode: 'pulse' },
    { number: 27, words: 'AlMg5 1.2, argon', filler: 'aluminium-5356', diameterMm: 1.2, gas: 'I1', mode: 'pulse' },
    { number: 31, words: 'Brazing CuSi3 1.0, argon', filler: 'cusi3', diameterMm: 1.0, gas: 'I1', mode: 'pulse' },
    { number: 41, words: 'Steel 1.0 dip, CO₂', filler: 'steel-solid', diameterMm: 1.0, gas: 'C1', mode: 'dip' },
  ],
};

function outline(
  name: string,
  place: string,
  about: string,
  peakCurrentA: number,
  feed: [number, number],
): MachineFile {
  return {
    format: 'fox-tempo/machine',
    version: 1,
    name,
    place,
    about,
    circuitMOhm: 15,
    limits: { peakCurrentA, wireFeedMPerMin: feed },
    dials: [],
    chartLines: [],
  };
}

export const machines: readonly DemoMachine[] = [
  {
    id: 'rowan',
    file: rowan,
    standing: {
      filler: 'steel-solid',
      diameterMm: 1.0,
      gas: 'M21-ArC-18',
      dials: { line: 12, 'wire-feed': 7.8, 'arc-index': 46, softness: 0, 'fast-peak': 390 },
    },
  },
  {
    id: 'hazel',
    file: outline('Hazel', 'bay 1', 'Small source, top-level double pulse, arc trim of ±10, 5 memories.', 400, [2, 18]),
    standing: { filler: 'stainless-solid', diameterMm: 0.8, gas: 'M12-ArC-2', dials: {} },
  },
  {
    id: 'alder',
    file: outline('Alder', 'bay 3', 'Two feeders, swing double pulse, arc in volts, 99 memories.', 550, [1, 25]),
    standing: { filler: 'aluminium-5356', diameterMm: 1.2, gas: 'I1', dials: {} },
  },
];
