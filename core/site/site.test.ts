/** One question: what the site brings moves the setting or leaves it alone, as it says. */
import { describe, expect, it } from '@jest/globals';
import { nominalCircuitMOhm } from '../metal/arc/index.ts';
import { thicknessRules } from '../setting/plan/index.ts';
import { alder, hazel, rowan, scenarios, steelPulse, steelTee } from '../scenarios/index.ts';
import { presetLimits } from '../evidence/trial/index.ts';
import {
  atMachine,
  completeSite,
  questionOf,
  ruleQuestion,
  settingOf,
  standardSite,
  type DescribedSeam,
  type SettingChoice,
} from './index.ts';

const tee: DescribedSeam = { ...steelTee, grade: 'S235', thicknessesMm: [2, 8] };
const choice = steelPulse;
function setting(seam: DescribedSeam, chosen: SettingChoice, site = standardSite) {
  const made = settingOf(seam, chosen, site);
  if (!made.ok) throw new Error(JSON.stringify(made.issues));
  return made.value;
}

describe('the site of a plan', () => {
  it('is complete: what is not known is the standard site’s, and undefined is not known', () => {
    expect(completeSite({})).toEqual(standardSite);
    expect(completeSite({ thicknessRule: undefined, circuitMOhm: 9 })).toEqual({ ...standardSite, circuitMOhm: 9 });
    expect(standardSite.circuitMOhm).toBe(nominalCircuitMOhm);
  });

  it('moves the setting by the shop’s rule: thicker asks for more wire on a 2 + 8 mm tee than thinner', () => {
    const feeds = thicknessRules.map(({ rule }) => ({
      rule,
      feed: setting(tee, choice, { ...standardSite, thicknessRule: rule }).program.wireFeedMPerMin,
    }));
    const of = (rule: string) => feeds.find((one) => one.rule === rule)?.feed ?? 0;
    expect(of('thinner')).toBeLessThan(of('leaning'));
    expect(of('leaning')).toBeLessThan(of('mean'));
    expect(of('mean')).toBeLessThan(of('thicker'));
  });

  it('leaves the setting alone whichever machine stands beside it; only what that machine shows moves', () => {
    const alone = setting(tee, choice);
    for (const machine of [rowan, hazel, alder]) {
      const beside = setting(tee, choice, atMachine(standardSite, machine));
      expect(beside.program).toEqual(alone.program);
      expect(beside.plan.machineVoltageV - beside.plan.voltageV).toBeCloseTo(
        (beside.plan.meanCurrentA * machine.circuitMOhm) / 1000,
        9,
      );
    }
  });

  it('says what the rule alone would, without anybody’s learned travel speed', () => {
    const pace = { factor: 0.8, weight: 0.7, seams: 9, welder: 'Odile' };
    const slow = { ...choice, pace };
    expect(setting(tee, slow).program.travelMmPerMin).toBeLessThan(0.9 * setting(tee, choice).program.travelMmPerMin);
    expect(ruleQuestion(tee, slow, { ...standardSite, pace })).toEqual(ruleQuestion(tee, choice, standardSite));
    // A speed that comes with the site is planned with, before the one chosen on the sheet.
    expect(questionOf(tee, slow, { ...standardSite, pace: { ...pace, factor: 1.2 } }).site.pace?.factor).toBe(1.2);
  });

  it('counts the gas of the sequence that will run, before and after each start', () => {
    const usual = setting(tee, choice);
    const { sequence } = usual.program;
    const longer = setting(tee, { ...choice, sequence: { ...sequence, postGasS: sequence.postGasS + 6 } });
    // Flow x 6 s more, one pass: L = L/min x s / 60.
    expect(longer.plan.gasLitres - usual.plan.gasLitres).toBeCloseTo((usual.plan.gasFlowLPerMin * 6) / 60, 6);
  });

  it('presets acceptance limits by the rule’s leg, the same whoever welds it', () => {
    const pace = { factor: 0.7, weight: 1, seams: 20, welder: 'Odile' };
    expect(presetLimits(tee, { ...choice, pace }, standardSite, 'C')).toEqual(
      presetLimits(tee, choice, standardSite, 'C'),
    );
    expect(presetLimits(tee, choice, { ...standardSite, thicknessRule: 'thicker' }, 'C').legMm?.least).toBeGreaterThan(
      0,
    );
  });
});

describe('a prepared edge', () => {
  it('takes the sum of its passes, the root with its own speed; its metal is the same', () => {
    const groove: DescribedSeam = {
      ...tee,
      thicknessesMm: [8, 8],
      joint: 'butt',
      position: 'PA',
      gapMm: 2,
      preparation: { kind: 'v', angleDeg: 60, rootFaceMm: 1 },
    };
    const { plan } = setting(groove, { ...choice, diameterMm: 1.2 });
    expect(plan.passTable.length).toBe(plan.passes);
    expect(plan.passTable[0]?.kind).toBe('root');
    const seconds = plan.passTable.map(({ travelMmPerMin }) => (groove.lengthMm / travelMmPerMin) * 60);
    expect(plan.arcSeconds).toBeCloseTo(
      seconds.reduce((sum, one) => sum + one, 0),
      6,
    );
    expect(seconds[0]).toBeGreaterThan(1.02 * (seconds[1] ?? 0));
    // g = mm2 x mm x kg/m3 x 1e-6 / yield of solid wire (0.98).
    const grams = (plan.totalAreaMm2 * groove.lengthMm * 7850 * 1e-6) / 0.98;
    expect(plan.wireGrams / grams).toBeCloseTo(1, 3);
  });

  it('is asked the same by every scenario: the table of passes and the arc time never part', () => {
    for (const { id, input } of scenarios) {
      const made = settingOf(
        { ...tee, ...input.seam, grade: '', legMm: input.seam.legMm ?? null, travelMmPerMin: null },
        { ...choice, filler: input.filler, gas: input.gas, diameterMm: input.diameterMm, mode: input.mode },
        standardSite,
      );
      if (!made.ok) continue;
      const { plan } = made.value;
      const sum = plan.passTable.reduce((all, pass) => all + (input.seam.lengthMm / pass.travelMmPerMin) * 60, 0);
      expect({ id, seconds: plan.arcSeconds }).toEqual({ id, seconds: expect.closeTo(sum, 6) });
    }
  });
});
