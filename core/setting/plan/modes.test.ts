/** Plans in the other modes than pulse. */
import { standardSite } from './site.ts';
import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { planSeam, type Plan, type PlanInput, type Seam } from './index.ts';

const fillet: Seam = {
  materialGroup: 'steel',
  thicknessesMm: [3, 3],
  joint: 'tee',
  position: 'PB',
  gapMm: 0,
  lengthMm: 300,
};
const steel: PlanInput = {
  seam: fillet,
  arcHabit: 'by-joint',
  site: standardSite,
  filler: 'steel-solid',
  gas: 'M21-ArC-18',
  diameterMm: 1.0,
  mode: 'pulse',
};
function planned(input: PlanInput): Plan {
  const plan = planSeam(input);
  if (!plan.ok) throw new Error(inEnglish(plan.issues[0]?.message));
  return plan.value;
}
const seam = (input: PlanInput, change: Partial<Seam>): PlanInput => ({ ...input, seam: { ...input.seam, ...change } });

describe('the other modes', () => {
  const codesOf = (input: PlanInput) =>
    Object.fromEntries(planned(input).decision.modes.map(({ mode, verdict }) => [mode, verdict]));

  it('plans dip by its rule of voltage: 13.5 + 0.036 I, 2.5 V more in CO2', () => {
    const thin = { ...seam(steel, { thicknessesMm: [1.5, 1.5] }), mode: 'dip' } as const;
    const mix = planned(thin);
    expect(mix.voltageV).toBeCloseTo(13.5 + 0.036 * mix.meanCurrentA, 9);
    const co2 = planned({ ...thin, gas: 'C1' });
    expect(co2.voltageV).toBeCloseTo(13.5 + 0.036 * co2.meanCurrentA + 2.5, 9);
    // 10 mm at 0.8 mm wire and 1 more per 0.1 mm; 12 L/min and 10 more per mm.
    expect(mix).toMatchObject({ transferMode: 'dip', ctwdMm: 12, tipRecessMm: 0, pulse: null, frequencyHz: null });
    expect(mix.gasFlowLPerMin).toBe(14);
    expect(mix.bands.voltageV![1] - mix.voltageV).toBeGreaterThanOrEqual(1.5 - 1e-9);
  });

  it('plans spray above the transition, steady, with power near U x I', () => {
    const plan = planned({
      ...seam(steel, { thicknessesMm: [8, 10], position: 'PA' }),
      gas: 'M20-ArC-8',
      mode: 'spray',
    });
    expect(plan.meanCurrentA).toBeGreaterThan(185 * 1.072);
    expect(plan.meanPowerW).toBeCloseTo(plan.voltageV * plan.meanCurrentA, 6);
  });

  it('gives double pulse a beat of usual ripples around the same feed', () => {
    const almg: PlanInput = {
      ...seam(steel, { materialGroup: 'aluminium', thicknessesMm: [4, 4] }),
      filler: 'aluminium-5356',
      gas: 'I1',
      diameterMm: 1.2,
      mode: 'double-pulse',
    };
    const plan = planned(almg);
    expect(plan.wireFeedMPerMin).toBeCloseTo(planned({ ...almg, mode: 'pulse' }).wireFeedMPerMin, 9);
    // Nobody asked for a ripple: 1 to 3 Hz.
    expect(plan.slowBeat).toMatchObject({ highShare: 0.5 });
    expect(plan.slowBeat!.frequencyHz).toBeGreaterThanOrEqual(1);
    expect(plan.slowBeat!.frequencyHz).toBeLessThanOrEqual(3);
  });

  it('shrinks a swing that the wire cannot follow, and says so', () => {
    const thin: PlanInput = {
      ...seam(steel, { materialGroup: 'aluminium', thicknessesMm: [0.8, 0.8] }),
      filler: 'aluminium-5356',
      gas: 'I1',
      diameterMm: 1.2,
      mode: 'double-pulse',
    };
    const plan = planned({ ...thin, wireFeedMPerMin: planned(thin).decision.lowestPulseFeedMPerMin! * 1.1 });
    const { highFeedMPerMin = 0, meanFeedMPerMin = 1 } = plan.slowBeat ?? {};
    expect(highFeedMPerMin / meanFeedMPerMin - 1).toBeLessThan(0.15);
    expect(inEnglish(plan.warnings.map((warning) => warning.code))).toContain('swing-shrunk');
  });

  it('runs rutile cored wire in its own mode, at its published mean', () => {
    const rutile: PlanInput = {
      ...seam(steel, { thicknessesMm: [8, 8] }),
      filler: 'steel-flux-cored',
      diameterMm: 1.2,
      mode: 'cored',
    };
    const plan = planned({ ...rutile, wireFeedMPerMin: 9.5 });
    // 224 to 262 A at 9 to 10 m/min; 24 to 29 V.
    expect(plan.meanCurrentA).toBeGreaterThan(224);
    expect(plan.meanCurrentA).toBeLessThan(262);
    expect(plan.voltageV).toBeGreaterThan(24);
    expect(plan.voltageV).toBeLessThan(29);
    expect(plan.slagSeconds).toBeGreaterThan(0);
    expect(planned({ ...rutile, filler: 'steel-metal-cored', mode: 'spray' }).slagSeconds).toBe(0);
  });

  it('lays a prepared butt in passes: a colder root, then fill, then cap', () => {
    const v: PlanInput = {
      ...seam(steel, {
        joint: 'butt',
        thicknessesMm: [12, 12],
        position: 'PA',
        gapMm: 2,
        preparation: { kind: 'v', angleDeg: 60, rootFaceMm: 1 },
      }),
      diameterMm: 1.2,
    };
    const plan = planned(v);
    expect(plan.passes).toBe(Math.ceil(plan.totalAreaMm2 / 25 - 1e-9));
    expect(plan.passTable[0]).toMatchObject({ kind: 'root' });
    // An open root holds itself at 110 to 140 A where the fill runs 200 to 230 (usual procedure sheets for 1.2 mm wire).
    expect(plan.passTable[0]!.meanCurrentA).toBeGreaterThan(110);
    expect(plan.passTable[0]!.meanCurrentA).toBeLessThan(140);
    expect(plan.passTable[1]!.meanCurrentA).toBeGreaterThan(200);
    const backed = planned({ ...v, seam: { ...v.seam, preparation: { ...v.seam.preparation!, backing: 'ceramic' } } });
    expect(backed.passTable[0]!.meanCurrentA / backed.meanCurrentA).toBeCloseTo(0.88, 2);
    expect(plan.passTable.at(-1)).toMatchObject({ kind: 'cap', totalAfterMm2: expect.closeTo(plan.totalAreaMm2, 6) });
  });

  it('stays inside the machine: a lower peak held longer, and modes refused by its ceiling', () => {
    const small = planned({
      ...seam({ ...steel, diameterMm: 1.2 }, { thicknessesMm: [4, 4] }),
      machine: { maxCurrentA: 380 },
    });
    expect(small.pulse!.peakCurrentA).toBeLessThanOrEqual(380);
    expect(inEnglish(small.warnings.map((warning) => warning.code))).toContain('peak-held-by-machine');
    const thick = planned({
      ...seam({ ...steel, diameterMm: 1.2 }, { thicknessesMm: [6, 6] }),
      machine: { maxCurrentA: 300 },
      wireFeedMPerMin: 5,
    });
    expect(thick.decision.modes.find((one) => one.mode === 'spray')?.verdict).toBe('first choice');
    const weak = planned({
      ...seam({ ...steel, diameterMm: 1.2 }, { thicknessesMm: [6, 6] }),
      machine: { maxCurrentA: 220 },
      wireFeedMPerMin: 5,
    });
    expect(inEnglish(weak.decision.modes.find((one) => one.mode === 'spray'))).toMatchObject({
      verdict: 'rejected',
      reason: expect.stringContaining('220 A'),
    });
  });

  it('asks more of AlMg5 than of AlSi5 for the same seam', () => {
    const at = (filler: 'aluminium-4043' | 'aluminium-5356') =>
      planned({
        ...seam(steel, { materialGroup: 'aluminium', thicknessesMm: [3, 3] }),
        filler,
        gas: 'I1',
        diameterMm: 1.2,
      }).wireFeedMPerMin;
    expect(at('aluminium-5356') / at('aluminium-4043')).toBeGreaterThan(1.1);
  });

  it('decides with a first choice, a runner-up and the reason of each rejection', () => {
    expect(codesOf(steel)).toMatchObject({ pulse: 'first choice', spray: 'rejected' });
    expect(codesOf({ ...seam(steel, { thicknessesMm: [2, 2], gapMm: 1.4 }) })).toMatchObject({ dip: 'first choice' });
    expect(
      codesOf({ ...seam(steel, { thicknessesMm: [10, 10] }), gas: 'M20-ArC-8', diameterMm: 1.2, wireFeedMPerMin: 7 }),
    ).toMatchObject({
      spray: 'first choice',
      dip: 'rejected',
    });
    const decision = planned({ ...seam(steel, { thicknessesMm: [1.5, 1.5] }), gas: 'C1', mode: 'dip' }).decision;
    expect(inEnglish(decision.modes.find((one) => one.mode === 'pulse'))).toMatchObject({
      verdict: 'rejected',
      reason: expect.stringContaining('argon-rich'),
    });
    expect(decision.lowestPulseFeedMPerMin).toBeNull();
    expect(planned(steel).decision.lowestPulseFeedMPerMin).toBeGreaterThan(0.5);
  });

  it('lays thick fillets in passes with a gun angle each, filling the leg asked for', () => {
    const plan = planned(seam({ ...steel, diameterMm: 1.2 }, { thicknessesMm: [12, 12], legMm: 12 }));
    expect(plan.passTable).toHaveLength(3);
    expect(plan.passTable.at(-1)?.legAfterMm).toBeCloseTo(12, 6);
    expect(new Set(plan.passTable.map((pass) => pass.gun)).size).toBe(3);
  });
});
