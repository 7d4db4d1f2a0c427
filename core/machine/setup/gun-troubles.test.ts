import { describe, expect, it } from '@jest/globals';
import { inEnglish } from '@fox-tempo/words/english';
import { copperMOhm, type Feeder, type GunPaper } from '../description/index.ts';
import { programFromPlan } from '../../setting/program/index.ts';
import { planSeam } from '../../setting/plan/index.ts';
import { alder, scenarios } from '../../scenarios/index.ts';
import { gasBefore } from '../../weld/score/gas-times.ts';
import { changeover, gunTroubles, neededSetup, type MachineState } from './index.ts';

const { input } = scenarios.find(({ id }) => id === 'trike-box-floor') ?? {};
const plan = input && planSeam(input);
if (!input || !plan?.ok) throw new Error('the scenario is gone');
const program = programFromPlan(input, plan.value);
const needed = neededSetup(program);
const today = new Date('2026-10-01');
const whole: GunPaper = {
  liner: { boreMm: 1.6 * program.diameterMm, lengthM: 3.5, since: '2026-08-03' },
  rolls: [{ groove: needed.groove, mm: needed.rollMm, colour: 'violet' }],
  tension: [{ filler: program.filler, diameterMm: program.diameterMm, mark: '1 1/2' }],
  fittings: [{ gas: program.gas, fitting: 'stud marked 6', leakTestedOn: '2026-09-20' }],
  cableM: 14,
  cableMm2: 70,
};
const gun = (paper?: GunPaper): Feeder => ({ id: 'right', label: 'Right', gun: 'gun', gunLengthM: 3.5, paper });
const codes = (change: Partial<GunPaper>, circuitMOhm = 9) =>
  gunTroubles(gun({ ...whole, ...change }), program, circuitMOhm, today).map(({ code }) => code);

describe('a gun’s own paper', () => {
  it('is silent where everything fits, and where nothing was written', () => {
    expect(codes({})).toEqual([]);
    expect(gunTroubles(gun(), program, 9, today)).toEqual([]);
  });

  it('names a liner too narrow, too wide or too short, a missing roll, a missing fitting and a leak test that is due', () => {
    const liner = (boreShare: number, lengthM = 3.5) => ({
      liner: { boreMm: boreShare * program.diameterMm, lengthM, since: '2026-08-03' },
    });
    expect(codes(liner(1.1))).toEqual(['liner-bore']);
    expect(codes(liner(3))).toEqual(['liner-bore']);
    expect(codes(liner(1.6, 3))).toEqual(['liner-short']);
    expect(codes({ rolls: [{ groove: 'V', mm: 0.8, colour: 'blue' }] })).toEqual(['no-such-roll']);
    expect(codes({ fittings: [{ gas: 'C1', fitting: 'nut' }] })).toEqual(['no-fitting']);
    expect(codes({ fittings: [{ gas: program.gas, fitting: 'nut' }] })).toEqual(['leak-test-due']);
    expect(codes({ fittings: [{ gas: program.gas, fitting: 'nut', leakTestedOn: '2026-06-01' }] })).toEqual([
      'leak-test-due',
    ]);
  });

  it('knows what the copper of the leads has: 14 m of 70 mm² are 3.8 mΩ at 45 °C', () => {
    // Source: resistivity of copper 0.0172 Ω mm²/m at 20 °C, +0.39 %/K.
    const byHand = (0.0172 * (1 + 0.0039 * 25) * 14 * 1000) / 70;
    expect(copperMOhm(whole)).toBeCloseTo(byHand, 1);
    expect(copperMOhm({ cableM: 14 })).toBeUndefined();
    expect(codes({}, 3)).toEqual(['leads-below-copper']);
    expect(codes({}, 18)).toEqual(['joints-eat-volts']);
  });

  it('stands in the set-up walk: the roll’s colour, the mark of the wire, the fitting of the gas, the tip by its rule', () => {
    const state: MachineState = {
      process: 'gas-metal',
      polarity: 'electrode-positive',
      feederId: 'right',
      feeders: {},
      dials: {},
    };
    const walk = (paper: GunPaper) =>
      changeover({ ...alder, feeders: [gun(paper)] }, state, program)
        .steps.map(({ kind, to, how }) => `${kind}: ${inEnglish(to)} ${how.map(inEnglish).join(' ')}`)
        .join('\n');
    const steps = walk(whole);
    expect(steps).toMatch(/rolls: .*violet/);
    expect(steps).toMatch(/tension: .*1 1\/2/);
    expect(steps).toMatch(/gas: .*stud marked 6/);
    const tip = (paper: GunPaper) => /tip: ([\d.]+)/.exec(walk(paper))?.[1];
    expect(tip({ ...whole, tipRule: 'as-stamped' })).toBe(program.diameterMm.toFixed(1));
    expect(Number(tip(whole))).toBeGreaterThan(program.diameterMm);
  });

  it('a hose behind the valve asks for longer gas before the arc: its volume by the flow', () => {
    const [without, withHose] = [0, 5].map((hoseM) => gasBefore(program, 3.5, hoseM).seconds);
    // 6 mm bore, 5 m: 0.141 L.
    const byHand = ((Math.PI / 4) * 0.06 ** 2 * 50 * 60) / program.gasFlowLPerMin;
    expect((withHose ?? 0) - (without ?? 0)).toBeCloseTo(byHand, 3);
  });
});
