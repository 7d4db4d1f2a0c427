import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { scoreOf } from '@fox-tempo/core/weld/score';
import { plainSequence, sequenceTemplates, triggerSchools, type TriggerSequence } from '@fox-tempo/core/weld/sequence';
import { program } from '../../../testing/shop.ts';
import { handlesOf, handleValue, movedBy, snapped, type Handle } from './handles.ts';

const warm: TriggerSequence = {
  ...plainSequence,
  ...sequenceTemplates.find(({ id }) => id === 'cold-plate-warm-hand')?.change,
  tapsAtMm: [60, 100],
};
function handles(sequence: TriggerSequence): Handle[] {
  const made = scoreOf({ ...program(), sequence }, { lengthMm: 160, thicknessMm: 3 });
  if (!made.ok) throw new Error(inEnglish(made.issues[0]?.message));
  return handlesOf(made.value);
}
const one = (id: string, sequence = warm): Handle => {
  const found = handles(sequence).find((handle) => handle.id === id);
  if (!found) throw new Error(id);
  return found;
};
const by = (change: Partial<{ seconds: number; percent: number; mm: number }>) => ({
  seconds: 0,
  percent: 0,
  mm: 0,
  ...change,
});

describe('the handles of a score', () => {
  it('stand where each school has something to move', () => {
    expect(handles(warm).map(({ id }) => id)).toEqual([
      'pre-gas',
      'run-in',
      'start',
      'slope-in',
      'second',
      'tap-0',
      'tap-1',
      'slope-out',
      'end',
      'post-gas',
    ]);
    expect(handles({ ...plainSequence, trigger: 'hold' }).map(({ id }) => id)).toEqual([
      'pre-gas',
      'run-in',
      'post-gas',
    ]);
    expect(handles({ ...plainSequence, trigger: 'stitch' }).map(({ id }) => id)).toContain('pause');
    for (const trigger of triggerSchools) expect(handles({ ...warm, trigger }).every(({ atS }) => atS >= 0)).toBe(true);
  });

  it('snap to the coarse grid, or to the fine one when asked', () => {
    expect(movedBy(one('start'), warm, by({ seconds: 0.33, percent: 3 }), false)).toEqual({
      startS: 1.3,
      startPercent: 135,
    });
    expect(movedBy(one('start'), warm, by({ seconds: 0.333, percent: 3.4 }), true)).toEqual({
      startS: 1.33,
      startPercent: 133,
    });
  });

  it('run the way the phase runs: the gas before grows to the left', () => {
    expect(movedBy(one('pre-gas'), warm, by({ seconds: -0.4 }), false)).toEqual({ preGasS: 0.9 });
    expect(movedBy(one('slope-out'), warm, by({ seconds: 0.2 }), false)).toEqual({ slopeOutS: 0.4 });
  });

  it('stop at the limits of their number', () => {
    expect(snapped('startPercent', 900, 5)).toBe(200);
    expect(movedBy(one('end'), warm, by({ seconds: -99, percent: -99 }), false)).toEqual({ endS: 0, endPercent: 20 });
  });

  it('move taps in millimetres, never past each other', () => {
    expect(movedBy(one('tap-0'), warm, by({ mm: 12 }), false)).toEqual({ tapsAtMm: [70, 100] });
    expect(movedBy(one('tap-0'), warm, by({ mm: 60 }), false)).toEqual({});
  });

  it('say their value', () => {
    expect(handleValue(one('start'), warm)).toBe('130 %, 1.00 s');
    expect(handleValue(one('tap-1'), warm)).toBe('at 100 mm');
  });
});
