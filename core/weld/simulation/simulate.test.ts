import { describe, expect, it } from '@jest/globals';
import { wireInGas } from '../../metal/arc/index.ts';
import { dipCurrentA } from '../../metal/melting/index.ts';
import { type SimulationMetrics } from './index.ts';
import { metrics, pulse, run, steel10, steel12, volts, within } from './testing/runs.ts';

describe('pulse, steel 1.2 mm at 5.5 m/min on its line', () => {
  it('settles at 24 to 26 V at the tip with true power 8 to 16 % above U x I (reference case)', () => {
    const { meanVoltageV, meanPowerW, meanCurrentA, dropsPerPulse } = metrics({ ...steel12, source: pulse(0) });
    expect(meanVoltageV).toBeGreaterThan(24);
    expect(meanVoltageV).toBeLessThan(26);
    const above = meanPowerW / (meanVoltageV * meanCurrentA) - 1;
    expect(above).toBeGreaterThan(0.08);
    expect(above).toBeLessThan(0.16);
    // One drop a pulse is what the pulse was made for.
    within(dropsPerPulse, 1, 0.03);
    // Static model: 190 A at 115 Hz; the drop that hangs on the wire, left out there, moves it by a few percent.
    within(meanCurrentA, 190, 0.05);
  });

  it.each(['frequency', 'background', 'peak'] as const)('holds the arc on its line with the %s school', (control) => {
    const { metrics: m, transferMode } = run({ ...steel12, source: pulse(0, { control }) });
    // Half a drop of wobble.
    expect(Math.abs(m.meanArcLengthMm - 4.5)).toBeLessThan(0.4);
    expect(transferMode).toBe('pulsed-one-drop');
  });

  it('lower trim: shorter arc, then shorts; higher trim: longer arc and rising frequency', () => {
    const sweep = [-4.2, -1.5, 0, 1.5, 3].map((trim) => metrics({ ...steel12, source: pulse(trim) }));
    const arcs = sweep.map((m) => m.meanArcLengthMm);
    expect(arcs).toEqual([...arcs].sort((a, b) => a - b));
    expect(sweep[0]!.shortsPerS).toBeGreaterThan(5);
    expect(sweep[2]!.shortsPerS).toBe(0);
    // Heard as pitch: about 6 Hz per mm of trim while the background is held.
    const perMm = (sweep[4]!.pulseFrequencyHz - sweep[2]!.pulseFrequencyHz) / 3;
    expect(perMm).toBeGreaterThan(4.5);
    expect(perMm).toBeLessThan(8);
  });

  it('begins to crackle near 1.8 mm of arc, where drops bridge', () => {
    const shorts = (arcMm: number) =>
      [1, 2, 3].reduce(
        (sum, seed) => sum + metrics({ ...steel12, seconds: 1.5, seed, source: pulse(arcMm - 4.5) }).shortsPerS,
        0,
      ) / 3;
    expect(shorts(2.2)).toBeLessThan(0.5);
    expect(shorts(1.6)).toBeGreaterThan(3);
  });

  it('loses arc length when the lead gains resistance: dl = dR I / E', () => {
    const [good, bad] = [15, 23].map((circuitMOhm) =>
      metrics({ ...steel12, noise: 0, source: pulse(0, { circuitMOhm }) }),
    );
    // 8 mΩ at about 190 A over 0.636 V/mm is 2.4 mm; the current falls a little with the arc.
    within(good!.meanArcLengthMm - bad!.meanArcLengthMm, (0.008 * good!.meanCurrentA) / 0.636, 0.15);
  });

  it('lowers the current when the hand moves out, in every school', () => {
    for (const control of ['frequency', 'background', 'peak'] as const) {
      const at = (ctwdMm: number) =>
        metrics({ ...steel12, ctwdMm, source: { kind: 'pulse', voltageV: 24.8, control } }).meanCurrentA;
      expect(at(23.5)).toBeLessThan(0.92 * at(17.5));
    }
  });

  it('swings between two levels with a slow beat, with the mean melt of the mean feed', () => {
    const slowBeat = {
      meanFeedMPerMin: 5.5,
      highFeedMPerMin: 6.5,
      lowFeedMPerMin: 4.5,
      highShare: 0.5,
      frequencyHz: 2,
    };
    const beat = run({ ...steel12, seconds: 2, source: pulse(0, { slowBeat }) }, 0.05);
    const plain = metrics({ ...steel12, seconds: 2, source: pulse(0) });
    within(beat.metrics.meanCurrentA, plain.meanCurrentA, 0.04);
    expect(beat.transferMode).toBe('pulsed-one-drop');
  });
});

describe.each([
  ['aluminium-4043', 'I1', 1.2, 7, 18],
  ['aluminium-5356', 'I3-ArHe-30', 1.2, 8, 18],
  ['stainless-solid', 'M12-ArC-2', 1.0, 7, 14.5],
  ['cusi3', 'I1', 1.0, 4, 16],
] as const)('pulse on %s in %s', (filler, gas, diameterMm, wireFeedMPerMin, ctwdMm) => {
  it('transfers one drop a pulse on its line, power above U x I by 3 to 35 %', () => {
    const { metrics: m, transferMode } = run({
      ...steel12,
      filler,
      gas,
      diameterMm,
      wireFeedMPerMin,
      ctwdMm,
      source: pulse(0),
    });
    expect(transferMode).toBe('pulsed-one-drop');
    // Usual 3 to 18 %; thin stainless at low mean current lies above, since nearly all its current flows in the peaks.
    const above = m.meanPowerW / (m.meanVoltageV * m.meanCurrentA) - 1;
    expect(above).toBeGreaterThan(0.03);
    expect(above).toBeLessThan(0.35);
  });
});

describe('constant voltage, steel 1.0 mm', () => {
  it('names stubbing, dip, globular, spray and burn-back as the voltage rises', () => {
    const modes = [12, 18, 24, 30].map((v) => run({ ...steel10, source: volts(v) }).transferMode);
    expect(modes).toEqual(['stubbing', 'dip', 'globular', 'burn-back']);
    expect(run({ ...steel12, wireFeedMPerMin: 10, source: volts(34) }).transferMode).toBe('spray');
  });

  it('dip: more volts give fewer, larger drops and more of the time an arc', () => {
    const sweep = [18, 19, 20, 21].map((v) => metrics({ ...steel10, source: volts(v) }));
    for (const key of ['dropFactor', 'arcOnShare'] as const) {
      const values = sweep.map((m) => m[key]);
      expect(values).toEqual([...values].sort((a, b) => a - b));
    }
    const shorts = sweep.map((m) => m.shortsPerS);
    expect(shorts).toEqual([...shorts].sort((a, b) => b - a));
  });

  it('dip: more inductance lowers the current at rupture and the spatter, and moves the shorts clearly', () => {
    const [hard, middle, soft] = [200, 500, 1200].map((inductanceUh) =>
      metrics({ ...steel12, wireFeedMPerMin: 3.5, ctwdMm: 14, seconds: 3, source: volts(18.5, { inductanceUh }) }),
    );
    for (const key of ['ruptureCurrentA', 'spatterIndex'] as const) {
      expect([hard![key], middle![key], soft![key]]).toEqual(
        [hard![key], middle![key], soft![key]].sort((a, b) => b - a),
      );
    }
    expect(hard!.spatterIndex).toBeGreaterThan(1.5 * soft!.spatterIndex);
    expect(Math.abs(hard!.shortsPerS / soft!.shortsPerS - 1)).toBeGreaterThan(0.1);
  });

  it('dip, steel 1.2 mm at 3 to 4 m/min: shorts, currents and regularity as published', () => {
    for (const [wireFeedMPerMin, v] of [
      [3, 17.5],
      [3.5, 18],
      [4, 18.5],
    ] as const) {
      const m = metrics({
        ...steel12,
        wireFeedMPerMin,
        ctwdMm: 14,
        seconds: 2,
        source: volts(v, { inductanceUh: 180 }),
      });
      expect(m.shortsPerS).toBeGreaterThan(70);
      expect(m.shortsPerS).toBeLessThan(120);
      // 3 to 5 ms, 300 to 400 A; a tenth for the spread of one seed.
      expect(m.meanShortMs).toBeGreaterThan(2.7);
      expect(m.meanShortMs).toBeLessThan(5);
      expect(m.ruptureCurrentA).toBeGreaterThan(270);
      expect(m.ruptureCurrentA).toBeLessThan(400);
      expect(m.rmsCurrentA / m.meanCurrentA).toBeGreaterThan(1.07);
      expect(m.rmsCurrentA / m.meanCurrentA).toBeLessThan(1.2);
      expect(m.regularityIndex).toBeGreaterThan(0.55);
      expect(m.regularityIndex).toBeLessThan(1.2);
    }
  });

  it('dip: plan and simulation have the same current within 4 % over the field in argon mix', () => {
    const off = (
      [
        [0.8, 4, 10],
        [0.8, 6, 10],
        [1, 3, 12],
        [1, 4.5, 12],
        [1, 6, 12],
        [1.2, 3, 14],
        [1.2, 4, 14],
        [1.2, 6, 14],
      ] as const
    ).map(([diameterMm, wireFeedMPerMin, ctwdMm]) => {
      const wire = wireInGas('steel-solid', 'M21-ArC-18', diameterMm);
      const amps = dipCurrentA(wire, (wireFeedMPerMin * 1000) / 60, ctwdMm - 1.5);
      // 13.5 + 0.036 I at the tip, 15 mΩ of leads.
      const v = 13.5 + 0.051 * amps;
      return (
        metrics({ ...steel12, diameterMm, wireFeedMPerMin, ctwdMm, seconds: 2, source: volts(v) }).meanCurrentA / amps -
        1
      );
    });
    for (const one of off) expect(Math.abs(one)).toBeLessThan(0.04);
  });

  it('stubbing: what is bent or bursts off is counted as lost and as spatter', () => {
    const m = metrics({ ...steel10, source: volts(12) });
    expect(m.lostShare).toBeGreaterThan(0.3);
    expect(m.spatterIndex).toBeGreaterThan(3);
    expect(metrics({ ...steel10, source: volts(19) }).lostShare).toBe(0);
  });

  it('longer stick-out: less current', () => {
    expect(metrics({ ...steel10, ctwdMm: 18, source: volts(18) }).meanCurrentA).toBeLessThan(
      0.95 * metrics({ ...steel10, source: volts(18) }).meanCurrentA,
    );
    expect(metrics({ ...steel12, wireFeedMPerMin: 10, ctwdMm: 23.5, source: volts(34) }).meanCurrentA).toBeLessThan(
      0.95 * metrics({ ...steel12, wireFeedMPerMin: 10, source: volts(34) }).meanCurrentA,
    );
  });

  it('CO2 instead of an argon mix: a smaller usable window, and every short breaks harder', () => {
    const window = (gas: string) => {
      const steady: SimulationMetrics[] = [];
      for (let v = 14; v <= 27; v += 0.5) {
        const { metrics: m, transferMode } = run({ ...steel10, gas, seconds: 0.5, source: volts(v) });
        // Usable: dip without lost wire.
        if (transferMode === 'dip' && m.lostShare < 0.05) steady.push(m);
      }
      return steady;
    };
    const [mix, co2] = [window('M21-ArC-18'), window('C1')];
    expect(co2.length).toBeLessThan(mix.length);
    const mean = (list: SimulationMetrics[]) => list.reduce((sum, m) => sum + m.ruptureCurrentA, 0) / list.length;
    expect(mean(co2)).toBeGreaterThan(1.1 * mean(mix));
  });

  it('spray: true power within 2 % of U x I', () => {
    const m = metrics({ ...steel12, wireFeedMPerMin: 10, source: volts(34) });
    within(m.meanPowerW, m.meanVoltageV * m.meanCurrentA, 0.02);
  });
});

describe.each([
  ['steel-solid', 'M21-ArC-18', 1.2],
  ['steel-solid', 'M20-ArC-8', 1.0],
  ['stainless-solid', 'M12-ArC-2', 1.0],
  ['aluminium-4043', 'I1', 1.2],
  ['aluminium-5356', 'I1', 1.6],
  ['cusi3', 'I1', 1.0],
] as const)('a steady current swept through the transition, %s in %s %f mm', (filler, gas, diameterMm) => {
  it('shrinks the drop without a step back, and the name changes once, at the transition', () => {
    const wire = wireInGas(filler, gas, diameterMm);
    const shares = [0.7, 0.8, 0.9, 0.95, 1.05, 1.1, 1.2, 1.35];
    const runs = shares.map((share) => {
      const amps = share * wire.transitionA;
      const feed = ((wire.arcMeltMmPerAs * amps + wire.extensionMeltPerA2s * 12 * amps * amps) * 60) / 1000;
      const v = wire.v0V + wire.eVPerMm * 6 + (wire.raOhm + wire.extensionOhmPerMm * 12 + 0.015) * amps;
      return run({ ...steel12, filler, gas, diameterMm, wireFeedMPerMin: feed, ctwdMm: 19, source: volts(v) });
    });
    const drops = runs.map((one) => one.metrics.dropFactor);
    // Half a percent for the noise of single drops.
    for (let at = 1; at < drops.length; at++) expect(drops[at]!).toBeLessThan(drops[at - 1]! * 1.005);
    expect(runs.map((one) => one.transferMode)).toEqual(shares.map((share) => (share < 1 ? 'globular' : 'spray')));
  });
});
