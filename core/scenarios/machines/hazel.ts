/** Hazel: small, top school, arc trim of ±10, feed as a bare drive number, percentages for start and burn-back, 5 memories. Invented. */
import type { Machine } from '../../machine/description/index.ts';
import { chart, proportional } from './described.ts';
import { holdMode, holdTimedMode, latchMode } from '../../machine/description/usual-modes.ts';

export const hazel: Machine = {
  name: 'Hazel',
  place: 'bay 1',
  about: 'Small source; top-level double pulse; feed as a drive number; arc trim of ±10; 5 memories.',
  circuitMOhm: 17,
  limits: {
    peakCurrentA: 400,
    wireFeedMPerMin: [2, 18],
    voltageV: [12, 34],
    duty: [
      { percent: 30, currentA: 250 },
      { percent: 60, currentA: 190 },
      { percent: 100, currentA: 150 },
    ],
    wireSizesMm: [0.8, 1.0],
    polarity: ['electrode-positive'],
  },
  beatSchool: 'top',
  dials: [
    { id: 'recipe', label: 'Recipe', where: 'two arrow keys', unit: '', scale: { kind: 'chart-line' }, hand: 'fixed' },
    proportional(
      { id: 'drive', label: 'Drive', where: 'upper knob, 0 to 100', unit: '' },
      'wireFeedMPerMin',
      [0, 100, 1],
      {
        at: 2,
        per: 0.16,
      },
    ),
    proportional({ id: 'trim', label: 'Trim', where: 'lower knob', unit: '' }, 'trimMm', [-10, 10, 1], { per: 0.3 }),
    proportional({ id: 'bite', label: 'Bite', where: 'page 2', unit: '', hand: 'fixed' }, 'stiffness', [0, 20, 1], {
      neutral: 10,
    }),
    proportional({ id: 'depth', label: 'Depth', where: 'page 3', unit: '% of Drive' }, 'beatLowPercent', [20, 95, 5]),
    proportional(
      { id: 'share', label: 'Share', where: 'page 3', unit: '%', senseTested: false },
      'beatHighSharePercent',
      [10, 90, 5],
      { neutral: 50, at: 50 },
    ),
    proportional({ id: 'waves', label: 'Waves', where: 'page 3', unit: 'per s' }, 'beatFrequencyHz', [0.5, 4, 0.5]),
    {
      id: 'start-share',
      label: 'Start',
      where: 'page 4',
      unit: '%',
      hand: 'fixed',
      scale: { kind: 'percent-of', quantity: 'startFeedMPerMin', of: 'drive', min: 50, max: 150, step: 5 },
    },
    {
      id: 'finish-share',
      label: 'Finish',
      where: 'page 4',
      unit: '%',
      hand: 'fixed',
      scale: { kind: 'percent-of', quantity: 'endFeedMPerMin', of: 'drive', min: 20, max: 100, step: 5 },
    },
    proportional(
      { id: 'burn', label: 'Burn', where: 'page 4', unit: '%', hand: 'fixed', senseTested: false },
      'burnBackMs',
      [0, 100, 5],
      { neutral: 50, at: 100, per: 2 },
    ),
    {
      id: 'gun',
      label: 'Gun',
      where: 'page 5',
      unit: '',
      hand: 'fixed',
      scale: {
        kind: 'named',
        facet: 'trigger',
        positions: [
          { label: 'Hold', is: ['hold'] },
          { label: 'Tap', is: ['latch'] },
          { label: 'Ends', is: ['hold-timed'] },
        ],
      },
    },
    proportional({ id: 'after', label: 'After', where: 'page 5', unit: 's', hand: 'fixed' }, 'postGasS', [0.5, 5, 0.5]),
  ],
  displays: [{ id: 'amps', label: 'A', where: 'display', unit: 'A', quantity: 'meanCurrentA', digits: 0 }],
  chartLines: chart([
    [1, 'steel-solid', 0.8, 'M21-ArC-18', 'dip'],
    [2, 'steel-solid', 1.0, 'M21-ArC-18', 'dip'],
    [3, 'steel-solid', 0.8, 'M21-ArC-18', 'pulse'],
    [4, 'steel-solid', 1.0, 'M21-ArC-18', 'pulse'],
    [6, 'steel-solid', 0.8, 'M20-ArC-8', 'pulse'],
    [7, 'steel-solid', 1.0, 'M20-ArC-8', 'pulse'],
    [8, 'stainless-solid', 0.8, 'M12-ArC-2', 'pulse'],
    [9, 'stainless-solid', 1.0, 'M12-ArC-2', 'pulse'],
    [12, 'stainless-solid', 0.8, 'M12-ArC-2', 'double-pulse'],
    [13, 'aluminium-5356', 1.0, 'I1', 'pulse'],
    [14, 'aluminium-4043', 1.0, 'I1', 'pulse'],
    [18, 'cusi3', 0.8, 'I1', 'pulse'],
    [19, 'cusi3', 1.0, 'I1', 'pulse'],
  ]),
  triggerModes: [
    holdMode,
    { ...latchMode('Tap', { startsOn: 'release', endsOn: 'release' }), senseTested: false },
    {
      ...holdTimedMode('Ends'),
      fixed: { startS: 0.5, slopeInS: 0, slopeOutS: 0, endS: 0.8, preGasS: 0.2, runInPercent: 60, runInAfterS: 0.1 },
    },
  ],
  slots: { count: 5, first: 1 },
  feeders: [{ id: 'one', label: 'Feeder', gun: 'gas-cooled gun', gunLengthM: 3 }],
};
