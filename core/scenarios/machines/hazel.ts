/** Hazel: small, top school, arc trim of ±10, feed as a bare drive number, percentages for start and burn-back, 5 memories. Invented. */
import type { Machine } from '../../machine/description/index.ts';
import { chart, chartLine, dials, linear, named, percentOf } from './described.ts';
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
  dials: dials([
    ['recipe', 'Recipe', 'two arrow keys', '', chartLine, 'fixed'],
    ['drive', 'Drive', 'upper knob, 0 to 100', '', linear('wireFeedMPerMin', [0, 100, 1], { at: 2, per: 0.16 })],
    ['trim', 'Trim', 'lower knob', '', linear('trimMm', [-10, 10, 1], { per: 0.3 })],
    ['bite', 'Bite', 'page 2', '', linear('stiffness', [0, 20, 1], { neutral: 10 }), 'fixed'],
    ['depth', 'Depth', 'page 3', '% of Drive', linear('beatLowPercent', [20, 95, 5])],
    [
      'share',
      'Share',
      'page 3',
      '%',
      linear('beatHighSharePercent', [10, 90, 5], { neutral: 50, at: 50 }),
      { senseTested: false },
    ],
    ['waves', 'Waves', 'page 3', 'per s', linear('beatFrequencyHz', [0.5, 4, 0.5])],
    ['start-share', 'Start', 'page 4', '%', percentOf('drive', 'startFeedMPerMin', [50, 150, 5]), 'fixed'],
    ['finish-share', 'Finish', 'page 4', '%', percentOf('drive', 'endFeedMPerMin', [20, 100, 5]), 'fixed'],
    [
      'burn',
      'Burn',
      'page 4',
      '%',
      linear('burnBackMs', [0, 100, 5], { neutral: 50, at: 100, per: 2 }),
      { hand: 'fixed', senseTested: false },
    ],
    ['gun', 'Gun', 'page 5', '', named('trigger', { Hold: ['hold'], Tap: ['latch'], Ends: ['hold-timed'] }), 'fixed'],
    ['after', 'After', 'page 5', 's', linear('postGasS', [0.5, 5, 0.5]), 'fixed'],
  ]),
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
