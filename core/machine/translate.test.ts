import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { planSeam } from '../plan/index.ts';
import { scenarios } from '../scenarios/index.ts';
import { programFromPlan, translate, type LinearScale, type Machine, type Program } from './index.ts';

const linear = (change: Partial<LinearScale>): LinearScale => ({
  kind: 'linear',
  quantity: 'trimMm',
  neutral: 50,
  quantityAtNeutral: 0,
  quantityPerUnit: 0.12,
  min: 0,
  max: 100,
  step: 1,
  ...change,
});
const machine: Machine = {
  name: 'Test',
  place: '',
  about: '',
  circuitMOhm: 15,
  limits: { peakCurrentA: 500, wireFeedMPerMin: [1, 22] },
  dials: [
    { id: 'line', label: 'Line', where: '', unit: '', scale: { kind: 'chart-line' } },
    { id: 'index', label: 'Index', where: '', unit: '', scale: linear({}) },
    {
      id: 'soft',
      label: 'Softness',
      where: '',
      unit: '',
      scale: linear({ quantity: 'stiffness', neutral: 0, quantityPerUnit: -1, min: -10, max: 10 }),
    },
    {
      id: 'feed',
      label: 'Feed',
      where: '',
      unit: 'ipm',
      scale: linear({ quantity: 'wireFeedMPerMin', neutral: 0, quantityPerUnit: 0.0254, min: 50, max: 800, step: 5 }),
    },
  ],
  chartLines: [{ number: 13, words: '', filler: 'steel-solid', diameterMm: 0.9, gas: 'M21-ArC-18', mode: 'pulse' }],
};

const input = { ...scenarios[0]!.input, diameterMm: 0.889 };
const plan = planSeam(input);
if (!plan.ok) throw new Error('the first scenario must plan');
const program: Program = programFromPlan(input, plan.value);
const dial = (said: Program, id: string) => translate(machine, said).dials.find((one) => one.dialId === id)!;

describe('a program in one machine’s dials', () => {
  it('is quantised as the machine would, with the miss in physical terms', () => {
    // 0.5 mm shorter at 0.12 mm per step is 4.17 steps below 50.
    expect(dial({ ...program, trimMm: -0.5 }, 'index')).toMatchObject({
      value: 46,
      display: '46',
      wishedQuantity: -0.5,
    });
    expect(dial({ ...program, trimMm: -0.5 }, 'index').error).toBeCloseTo(0.02, 9);
    expect(dial({ ...program, wireFeedMPerMin: 9.652 }, 'feed')).toMatchObject({ value: 380, display: '380' });
  });

  it('runs the other way where the dial does, and keeps the sign in the reading', () => {
    expect(dial({ ...program, stiffness: 2 }, 'soft')).toMatchObject({ value: -2, display: '−2' });
    expect(dial({ ...program, stiffness: -3 }, 'soft').display).toBe('+3');
  });

  it('finds the chart line, taking 0.035 in and 0.9 mm as one size', () => {
    expect(translate(machine, program).programNumber).toBe(13);
    const other = translate(machine, { ...program, gas: 'M20-ArC-8' });
    expect(other.programNumber).toBeNull();
    expect(other.warnings.map((warning) => warning.code)).toContain('no-chart-line');
  });

  it('says when a dial has run out, and what the machine cannot give', () => {
    const far = translate(machine, {
      ...program,
      trimMm: 7,
      pulse: { ...program.pulse, peakCurrentA: 560 },
      wireFeedMPerMin: 24,
    });
    expect(far.warnings.map((warning) => warning.code)).toEqual(
      expect.arrayContaining(['dial-at-its-end', 'peak-beyond-machine', 'feed-beyond-machine']),
    );
    expect(far.dials.find((one) => one.dialId === 'index')?.value).toBe(100);
  });

  it('misses by at most half a step while the dial does not run out', () => {
    fc.assert(
      fc.property(fc.double({ min: -5.9, max: 5.9, noNaN: true }), (trimMm) => {
        expect(Math.abs(dial({ ...program, trimMm }, 'index').error ?? 1)).toBeLessThanOrEqual(0.06 + 1e-9);
      }),
    );
  });
});
