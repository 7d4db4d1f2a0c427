/**
 * Medlar: an odd machine made up to strain the mapping language. Amperes as master dial, arc length on seven clicks, the slow beat as a
 * period, its share counted at the low level, a percentage of a percentage, and a dial that moves stiffness and arc length at once.
 */
import { usualFeeder, type Machine } from '../../machine/description/index.ts';
import { chart, chartLine, dials, inverse, linear, percentOf, stepped } from './described.ts';
import { holdMode } from '../../machine/description/usual-modes.ts';

export const medlar: Machine = {
  name: 'Medlar',
  place: 'nowhere',
  about: 'Made up to strain the mapping language.',
  circuitMOhm: 20,
  limits: { peakCurrentA: 480, wireFeedMPerMin: [1, 20] },
  beatSchool: 'two-level',
  dials: dials([
    ['number', 'Number', '', '', chartLine],
    ['amps', 'Amps', '', 'A', linear('meanCurrentA', [30, 320, 2])],
    ['clicks', 'Clicks', '', '', stepped('trimMm', { A: -3, B: -1.5, C: -0.6, D: 0, E: 0.6, F: 1.5, G: 3 })],
    [
      'temper',
      'Temper',
      '',
      '',
      linear('stiffness', [-5, 5, 1], { per: 2, also: { quantity: 'trimMm', quantityPerUnit: -0.2 } }),
    ],
    ['period', 'Period', '', 's', inverse('beatFrequencyHz', [0.2, 4, 0.05])],
    ['low-share', 'Low share', '', '%', linear('beatHighSharePercent', [10, 90, 5], { neutral: 50, at: 50, per: -1 })],
    ['lower', 'Lower', '', 'm/min', linear('beatLowFeedMPerMin', [1, 20, 0.1])],
    ['begin', 'Begin', '', 'm/min', linear('startFeedMPerMin', [1, 20, 0.1])],
    ['approach', 'Approach', '', '% of Begin', percentOf('begin', 'runInFeedMPerMin', [10, 100, 2])],
  ]),
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
