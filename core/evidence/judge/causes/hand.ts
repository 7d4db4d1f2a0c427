/** What the hand may do otherwise than planned. */
import { message } from '../../../base/messages/index.ts';
import type { Cause } from '../cause.ts';

export const handCauses = {
  'travel-slow': {
    name: message('judge.pace-slow'),
    kind: 'hand',
    prior: 0.1,
    opposite: 'travel-fast',
    model: { pace: 0.75 },
    stays: false,
    odds: { sag: 0.25, 'bead-flat-wide': 0.25, tint: 0.35, 'cold-lap': 0.1 },
    look: { words: message('judge.time-the-next-seam'), minutes: 1 },
  },
  'travel-fast': {
    name: message('judge.pace-fast'),
    kind: 'hand',
    prior: 0.08,
    opposite: 'travel-slow',
    model: { pace: 1.33 },
    stays: false,
    odds: { 'bead-high': 0.3, 'undercut-upper': 0.3, 'no-root-fusion': 0.25, 'centre-crack': 0.05 },
    look: { words: message('judge.time-the-next-seam'), minutes: 1 },
  },
  'stick-out-long': {
    name: message('judge.stick-out-long'),
    kind: 'hand',
    prior: 0.1,
    opposite: 'stick-out-short',
    stays: false,
    model: { faults: ({ ctwdMm }) => ({ ctwdMm: ctwdMm + 5 }) },
    odds: { 'pores-row': 0.15, 'bead-high': 0.2, 'no-root-fusion': 0.2, 'arc-wanders': 0.2, soot: 0.15 },
    look: { words: message('judge.measure-the-stick-out'), minutes: 1 },
  },
  'stick-out-short': {
    name: message('judge.stick-out-short'),
    kind: 'hand',
    prior: 0.06,
    opposite: 'stick-out-long',
    stays: false,
    model: { faults: ({ ctwdMm }) => ({ ctwdMm: Math.max(ctwdMm - 4, 6) }) },
    odds: { 'spatter-fine': 0.2, 'tip-burnt': 0.25, 'printed-through': 0.15 },
    look: { words: message('judge.measure-the-stick-out'), minutes: 1 },
  },
  'gun-angle': {
    name: message('judge.gun-angle'),
    kind: 'hand',
    prior: 0.08,
    stays: false,
    model: { legRatio: 1.45 },
    odds: { 'legs-unequal': 0.6, 'undercut-upper': 0.35, 'undercut-lower': 0.2, 'cold-lap': 0.15 },
    look: { words: message('judge.look-at-the-gun-angle'), minutes: 1 },
  },
  drag: {
    name: message('judge.gun-dragged'),
    kind: 'hand',
    prior: 0.05,
    stays: false,
    odds: { 'bead-high': 0.35, soot: 0.35, 'undercut-upper': 0.1 },
    look: { words: message('judge.look-at-the-gun-angle'), minutes: 1 },
  },
} satisfies Record<string, Cause>;
