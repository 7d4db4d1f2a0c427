/** Balances, convergence, start and stop, and whatever is asked. */
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { wireInGas } from '../../metal/arc/index.ts';
import { commonGasCodes, fillerCodes } from '../../metal/consumables/index.ts';
import { meltRateMmPerS } from '../../metal/melting/index.ts';
import { simulate, type SimulationInput } from './index.ts';
import { metrics, pulse, run, steel10, steel12, volts, within } from './testing/runs.ts';

describe('balances and convergence', () => {
  const steady: [string, SimulationInput][] = [
    ['pulse', { ...steel12, seconds: 2, noise: 0, source: pulse(0) }],
    ['spray', { ...steel12, wireFeedMPerMin: 10, seconds: 2, noise: 0, source: volts(34) }],
  ];

  it.each(steady)('%s melts what is fed within 1 %', (_name, input) => {
    const m = metrics(input);
    const wire = wireInGas(input.filler, input.gas, input.diameterMm);
    within(
      meltRateMmPerS(wire, m.meanCurrentA, m.rmsCurrentA, m.meanExtensionMm),
      (input.wireFeedMPerMin * 1000) / 60,
      0.01,
    );
  });

  it.each(steady)('%s moves by under 1 % when the step is halved', (_name, input) => {
    const [whole, half] = [10e-6, 5e-6].map((stepS) => metrics({ ...input, stepS }));
    within(half!.meanCurrentA, whole!.meanCurrentA, 0.01);
    within(half!.meanArcLengthMm, whole!.meanArcLengthMm, 0.01);
  });

  it('mass: drops carry the wire that was fed, within 2 % (the drop still hanging at the end)', () => {
    const m = metrics(steady[0]![1]);
    const carried = m.dropsPerS * (Math.PI / 6) * (m.dropFactor * 1.2) ** 3;
    within(carried, ((5.5 * 1000) / 60) * (Math.PI / 4) * 1.44, 0.02);
  });

  it('is the same for the same seed, and another for another', () => {
    const at = (seed: number) => metrics({ ...steel10, seconds: 0.3, seed, source: volts(18) });
    expect(at(1)).toEqual(at(1));
    expect(at(1).meanCurrentA).not.toBe(at(2).meanCurrentA);
  });

  it('keeps a trace with the whole run in it', () => {
    const { trace, metrics: m } = run({ ...steel12, source: pulse(0) }, 1e-4);
    expect(trace.timeS.length).toBeGreaterThan(8000);
    const mean = trace.currentA.reduce((sum, value) => sum + value, 0) / trace.currentA.length;
    // The trace holds the settling too.
    within(mean, m.meanCurrentA, 0.03);
  });
});

describe('start and stop', () => {
  const start = (runInPercent: number, burnBackS = 0.05) =>
    run({
      ...steel10,
      wireFeedMPerMin: 8,
      ctwdMm: 15,
      source: pulse(0),
      startStop: { runInPercent, runInAfterS: 0.2, burnBackS },
    }).startStop!;

  it('full feed from the start bends the wire on the plate; half feed lights cleanly', () => {
    expect(start(100).buckles).toBeGreaterThan(0);
    expect(start(50)).toMatchObject({ buckles: 0, stuck: false });
  });

  it('a longer burn-back leaves a shorter wire', () => {
    const left = [0.02, 0.05, 0.09].map((burnBackS) => start(50, burnBackS).freeWireMm);
    expect(left).toEqual([...left].sort((a, b) => b - a));
  });

  it('too little burn-back in dip leaves the wire in the pool', () => {
    const at = (burnBackS: number) =>
      run({ ...steel10, source: volts(17), startStop: { runInPercent: 50, runInAfterS: 0.1, burnBackS } }).startStop!;
    expect(at(0.005).stuck).toBe(true);
    expect(at(0.3).stuck).toBe(false);
  });
});

describe('any input', () => {
  it('runs without a throw or a NaN, or is refused with reasons', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    const source = fc.oneof(
      fc.record({
        kind: fc.constant('constant-voltage' as const),
        voltageV: number(8, 60),
        stiffness: number(-10, 10),
        circuitMOhm: number(0, 80),
      }),
      fc.record({
        kind: fc.constant('pulse' as const),
        trim: number(-8, 8),
        control: fc.constantFrom('frequency' as const, 'background' as const, 'peak' as const),
        stiffness: number(-10, 10),
      }),
    );
    const any: fc.Arbitrary<SimulationInput> = fc.record({
      filler: fc.constantFrom(...fillerCodes),
      gas: fc.constantFrom(...commonGasCodes),
      diameterMm: number(0.6, 1.6),
      wireFeedMPerMin: number(0.5, 30),
      ctwdMm: number(6, 45),
      seconds: fc.constant(0.1),
      seed: fc.integer({ min: 0, max: 1000 }),
      source,
      startStop: fc.option(
        fc.record({ runInPercent: number(20, 150), runInAfterS: number(0, 1), burnBackS: number(0, 0.3) }),
        { nil: undefined },
      ),
    });
    fc.assert(
      fc.property(any, (input) => {
        const result = simulate(input);
        if (!result.ok) {
          expect(result.issues.length).toBeGreaterThan(0);
          return;
        }
        expect(Object.values(result.value.metrics).every(Number.isFinite)).toBe(true);
        if (result.value.startStop) expect(Number.isFinite(result.value.startStop.freeWireMm)).toBe(true);
      }),
      { numRuns: 150 },
    );
  });

  it.each([
    [{ ...steel12, source: volts(Number.NaN) }, 'source.voltageV'],
    [{ ...steel12, seconds: 1e9, source: volts(20) }, 'seconds'],
    [{ ...steel12, source: volts(20, { inductanceUh: 300, stiffness: 2 }) }, 'source.stiffness'],
    [{ ...steel12, source: pulse(0, { voltageV: 24 }) }, 'source.trim'],
    [{ ...steel12, gas: 'C1', source: pulse(0) }, 'gas'],
    [{ ...steel12, filler: 'aluminium-4043', source: volts(20) }, 'gas'],
    [{ ...steel12, filler: 'steel-metal-cored', source: pulse(0) }, 'filler'],
  ] satisfies [SimulationInput, string][])('%# is refused at %2$s', (input, path) => {
    const result = simulate(input);
    expect(result.ok ? [] : result.issues.map((issue) => issue.path)).toContain(path);
  });
});
