/**
 * Medlar: an odd machine made up to strain the mapping language. Amperes as master dial, arc length on seven clicks, the slow beat as a
 * period, its share counted at the low level, a percentage of a percentage, and a dial that moves stiffness and arc length at once.
 */
import { usualFeeder, type Machine } from '../../machine/description/index.ts';
import { chart, proportional } from './described.ts';
import { holdMode } from '../../machine/description/usual-modes.ts';

export const medlar: Machine = {
  name: 'Medlar',
  place: 'nowhere',
  about: 'Made up to strain the mapping language.',
  circuitMOhm: 20,
  limits: { peakCurrentA: 480, wireFeedMPerMin: [1, 20] },
  beatSchool: 'two-level',
  dials: [
    { id: 'number', label: 'Number', where: '', unit: '', scale: { kind: 'chart-line' } },
    proportional({ id: 'amps', label: 'Amps', where: '', unit: 'A' }, 'meanCurrentA', [30, 320, 2]),
    {
      id: 'clicks',
      label: 'Clicks',
      where: '',
      unit: '',
      scale: {
        kind: 'stepped',
        quantity: 'trimMm',
        positions: [
          { label: 'A', quantity: -3 },
          { label: 'B', quantity: -1.5 },
          { label: 'C', quantity: -0.6 },
          { label: 'D', quantity: 0 },
          { label: 'E', quantity: 0.6 },
          { label: 'F', quantity: 1.5 },
          { label: 'G', quantity: 3 },
        ],
      },
    },
    {
      id: 'temper',
      label: 'Temper',
      where: '',
      unit: '',
      scale: {
        kind: 'linear',
        quantity: 'stiffness',
        neutral: 0,
        quantityAtNeutral: 0,
        quantityPerUnit: 2,
        min: -5,
        max: 5,
        step: 1,
        also: { quantity: 'trimMm', quantityPerUnit: -0.2 },
      },
    },
    {
      id: 'period',
      label: 'Period',
      where: '',
      unit: 's',
      scale: { kind: 'inverse', quantity: 'beatFrequencyHz', product: 1, min: 0.2, max: 4, step: 0.05 },
    },
    proportional({ id: 'low-share', label: 'Low share', where: '', unit: '%' }, 'beatHighSharePercent', [10, 90, 5], {
      neutral: 50,
      at: 50,
      per: -1,
    }),
    proportional({ id: 'lower', label: 'Lower', where: '', unit: 'm/min' }, 'beatLowFeedMPerMin', [1, 20, 0.1]),
    proportional({ id: 'begin', label: 'Begin', where: '', unit: 'm/min' }, 'startFeedMPerMin', [1, 20, 0.1]),
    {
      id: 'approach',
      label: 'Approach',
      where: '',
      unit: '% of Begin',
      scale: { kind: 'percent-of', quantity: 'runInFeedMPerMin', of: 'begin', min: 10, max: 100, step: 2 },
    },
  ],
  displays: [],
  chartLines: chart([
    [4, 'steel-solid', 1.0, 'M21-ArC-18', 'pulse'],
    [40, 'aluminium-5356', 1.2, 'I1', 'pulse'],
    [41, 'steel-solid', 1.0, 'M21-ArC-18', 'dip'],
  ]),
  triggerModes: [holdMode],
  slots: { count: 0, first: 1 },
  feeders: [usualFeeder],
};
