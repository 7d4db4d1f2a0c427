/** A sequence said on a machine and read back from its dials: what a dial carries comes back within half its step, whatever was asked. */
import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { planSeam } from '../../setting/plan/index.ts';
import { alder, hazel, rowan, scenarios } from '../../scenarios/index.ts';
import { plainSequence, type TriggerSchool, type TriggerSequence } from '../../weld/sequence/index.ts';
import type { Machine } from '../description/machine.ts';
import { programFromPlan, type Program } from '../../setting/program/program.ts';
import { readDials } from './read-dials.ts';
import { translate } from './translate.ts';

const scenario = scenarios.find(({ id }) => id === 'trike-frame-node')!;
const plan = planSeam(scenario.input);
if (!plan.ok) throw new Error('no plan');
const base = programFromPlan(scenario.input, plan.value);

function thereAndBack(machine: Machine, program: Program): TriggerSequence {
  const said = translate(machine, program);
  const dials = Object.fromEntries(said.dials.map(({ dialId, value }) => [dialId, value]));
  const read = readDials(machine, dials, {
    loaded: program,
    ctwdMm: program.ctwdMm,
    travelMmPerMin: program.travelMmPerMin,
  });
  if (!read.ok) throw new Error(inEnglish(read.issues[0]?.message));
  return read.value.program.sequence;
}

const sequences = fc.record({
  startPercent: fc.double({ min: 60, max: 160, noNaN: true }),
  secondPercent: fc.double({ min: 60, max: 140, noNaN: true }),
  endPercent: fc.double({ min: 40, max: 100, noNaN: true }),
  slopeInS: fc.double({ min: 0, max: 3, noNaN: true }),
  slopeOutS: fc.double({ min: 0, max: 3, noNaN: true }),
  preGasS: fc.double({ min: 0, max: 3, noNaN: true }),
  postGasS: fc.double({ min: 0.5, max: 5, noNaN: true }),
  burnBackMs: fc.double({ min: 0, max: 200, noNaN: true }),
});
const withTrigger = (trigger: TriggerSchool, change: Partial<TriggerSequence>): Program => ({
  ...base,
  sequence: { ...plainSequence, ...change, trigger, tapsAtMm: [90] },
});

describe('sequences through dials', () => {
  it('Alder, which says all of it in percent and seconds', () => {
    fc.assert(
      fc.property(sequences, (change) => {
        const back = thereAndBack(alder, withTrigger('latch-second', change));
        expect(back.trigger).toBe('latch-second');
        // Half a percent of the dial, and what its feed wheel of 0.1 m/min misses.
        for (const field of ['startPercent', 'secondPercent', 'endPercent'] as const) {
          expect(Math.abs(back[field] - change[field])).toBeLessThan(2);
        }
        for (const field of ['slopeInS', 'slopeOutS', 'preGasS', 'postGasS'] as const) {
          expect(Math.abs(back[field] - change[field])).toBeLessThanOrEqual(0.05 + 1e-9);
        }
        expect(Math.abs(back.burnBackMs - change.burnBackMs)).toBeLessThanOrEqual(5 + 1e-9);
      }),
      { numRuns: 60 },
    );
  });

  it('Rowan, whose levels are feeds: they come back as the same share of main', () => {
    fc.assert(
      fc.property(sequences, (change) => {
        const back = thereAndBack(rowan, withTrigger('latch-second', change));
        for (const field of ['startPercent', 'secondPercent', 'endPercent'] as const) {
          expect(Math.abs(back[field] - change[field])).toBeLessThan(2);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('Hazel, which has not got this trigger: the nearest stands on its dial', () => {
    expect(thereAndBack(hazel, withTrigger('latch-second', {})).trigger).toBe('hold-timed');
    expect(thereAndBack(hazel, withTrigger('latch', {})).trigger).toBe('latch');
  });

  it('phase trims come back where the machine has them', () => {
    const back = thereAndBack(
      rowan,
      withTrigger('latch-levels', { startTrimMm: 0.6, endTrimMm: -0.96, startPercent: 120 }),
    );
    // One step of its index is 0.12 mm of arc; the program's own trim misses by up to half of one too.
    expect(back.startTrimMm).toBeCloseTo(0.6, 0);
    expect(Math.abs(back.endTrimMm + 0.96)).toBeLessThan(0.13);
    expect(inEnglish(translate(alder, withTrigger('latch-levels', { startTrimMm: 0.6 })).notCarried)).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ quantity: 'startTrimMm', nearest: 'the arc length of the main level' }),
      ]),
    );
  });

  it('dials that do nothing in the trigger chosen are left off the card', () => {
    const labels = (trigger: TriggerSchool) =>
      translate(alder, withTrigger(trigger, {})).dials.map(({ label }) => label);
    expect(labels('hold')).not.toContain('Lead-in');
    expect(labels('latch-levels')).toContain('Lead-in');
    expect(labels('latch-levels')).not.toContain('Lead-in time');
    expect(labels('hold-timed')).toContain('Lead-in time');
    expect(labels('spot')).toContain('Dot time');
    expect(labels('latch-second')).toContain('Second share');
  });
});
