import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import type { Program } from '../../setting/program/index.ts';
import { plainSequence } from '../sequence/index.ts';
import { nextBurnBack, type StopSeen } from './burn-back.ts';

const program = {
  mode: 'pulse',
  wireFeedMPerMin: 6,
  sequence: { ...plainSequence, endPercent: 100 },
} as Program;
const stop = (left: StopSeen['left'], burnBackMs = 60, shape: StopSeen['shape'] = 'sharp'): StopSeen => ({
  left,
  shape,
  burnBackMs,
});

describe('the next burn-back', () => {
  it('turns millimetres into time at the speed the end melts: 2.5 mm at 100 mm/s are 25 ms', () => {
    expect(nextBurnBack(program, [stop('too-long')])).toMatchObject({ nextMs: 85 });
    expect(nextBurnBack(program, [stop('too-short')])).toMatchObject({ nextMs: 35 });
    expect(nextBurnBack(program, [stop('right')])).toMatchObject({ nextMs: 60 });
  });

  it('moves no further than 40 ms at once, and never below nothing', () => {
    expect(nextBurnBack(program, [stop('welded-to-tip', 300)])?.nextMs).toBe(260);
    expect(nextBurnBack(program, [stop('welded-to-tip', 10)])?.nextMs).toBe(0);
  });

  it('halves the step when the last one went too far', () => {
    expect(nextBurnBack(program, [stop('too-long', 60), stop('too-short', 85)])?.nextMs).toBe(73);
  });

  it('asks for a last pulse against a ball where there are pulses', () => {
    expect(nextBurnBack(program, [stop('right', 60, 'big-ball')])?.endPulse).toBe(true);
    expect(nextBurnBack({ ...program, mode: 'dip' }, [stop('right', 60, 'big-ball')])?.endPulse).toBe(false);
  });

  it('reads a trend, or scatter, from a row of stops', () => {
    expect(nextBurnBack(program, [stop('right')])?.trend).toBeNull();
    expect(inEnglish(nextBurnBack(program, [stop('right'), stop('right'), stop('right')])?.trend)).toContain('lock it');
    expect(inEnglish(nextBurnBack(program, [stop('too-long'), stop('too-short'), stop('too-long')])?.trend)).toContain(
      'scatter',
    );
    expect(inEnglish(nextBurnBack(program, [stop('too-long'), stop('right'), stop('too-long')])?.trend)).toContain(
      'drifts',
    );
    expect(nextBurnBack(program, [])).toBeNull();
  });
});
