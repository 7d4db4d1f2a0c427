import { describe, expect, it } from '@jest/globals';
import { planSeam } from '../../setting/plan/index.ts';
import { scenarios } from '../../scenarios/index.ts';
import {
  otherBeat,
  nearness,
  passesInRow,
  qualityLevels,
  stepAt,
  sweepBand,
  sweepPlan,
  symptomCodes,
  symptomsOn,
  timedFigures,
  tooFar,
  trialPlan,
  trialVerdict,
  usualLimits,
  type Looked,
  type SymptomAnswer,
} from './index.ts';

const seam = { isFillet: true, thicknessMm: 6, legMm: 5, back: 'none', rootFusion: false } as const;
const clean: SymptomAnswer = { answer: 'no' };
const allClean: Looked['symptoms'] = Object.fromEntries(symptomCodes.map((code) => [code, clean]));
const good: Looked = { symptoms: allClean, measured: { legsMm: [5, 5.2] } };

function lineOf(looked: Looked, line: string, level: 'B' | 'C' | 'D' = 'C') {
  return trialVerdict(usualLimits(level, seam), looked).lines.find((one) => one.line === line)?.verdict;
}

describe('limits', () => {
  it('get wider from B to D', () => {
    const [b, c, d] = qualityLevels.map((level) => usualLimits(level, seam));
    expect([b, c, d].map((one) => one?.undercutMm)).toEqual([0.3, 0.5, 1]);
    expect(b?.legMm?.least).toBeGreaterThan(c?.legMm?.least ?? 0);
    expect(c?.legMm?.most).toBeGreaterThan(b?.legMm?.most ?? 0);
    expect(d?.legMm?.most).toBeNull();
  });

  it('follow the standard where it gives a rule', () => {
    // ISO 5817, 504: B 1 + 0.2 b, C 1 + 0.6 b, D 1 + 1.0 b, at most 3, 4, 5; b taken as the plate, 6 mm.
    const backMm = qualityLevels.map((level) => usualLimits(level, { ...seam, back: 'allowed' }).backMm);
    expect(backMm).toEqual([2.2, 4, 5]);
  });
});

describe('a verdict', () => {
  it('passes when every side was looked at and the legs fit, by eye', () => {
    expect(trialVerdict(usualLimits('C', seam), good)).toMatchObject({ verdict: 'pass', byEyeOnly: true });
  });

  it('waits for what was not looked at, and not for measurements of a seam that is not critical', () => {
    const unmeasured = { symptoms: allClean };
    const limits = usualLimits('C', seam);
    expect(trialVerdict(limits, unmeasured).verdict).toBe('open');
    expect(trialVerdict({ ...limits, isCritical: false }, unmeasured).verdict).toBe('pass');
    const frontOnly = Object.fromEntries(symptomsOn('front').map((code) => [code, clean]));
    expect(lineOf({ symptoms: frontOnly }, 'back')).toBe('open');
    expect(lineOf({ symptoms: frontOnly }, 'pores')).toBe('open');
  });

  it('takes a gauge that fits for the legs', () => {
    expect(lineOf({ symptoms: allClean, measured: { gauge: 'fits' } }, 'legs')).toBe('pass');
    expect(lineOf({ symptoms: allClean, measured: { gauge: 'small' } }, 'legs')).toBe('fail');
  });

  it('fails line by line', () => {
    const seen = (code: string, severity: 1 | 2 | 3): Looked => ({
      symptoms: { ...allClean, [code]: { answer: 'yes', severity } },
      measured: { legsMm: [5, 5] },
    });
    expect(lineOf({ ...good, measured: { legsMm: [3, 5] } }, 'legs')).toBe('fail');
    expect(lineOf({ ...good, measured: { legsMm: [5, 8] } }, 'leg-difference')).toBe('fail');
    expect(lineOf(seen('crater-crack', 1), 'never')).toBe('fail');
    expect(lineOf(seen('pores-row', 1), 'pores')).toBe('pass');
    expect(lineOf(seen('pores-row', 1), 'pores', 'B')).toBe('fail');
    expect(lineOf(seen('undercut-upper', 3), 'undercut')).toBe('fail');
    expect(lineOf(seen('printed-through', 1), 'back')).toBe('fail');
    expect(trialVerdict(usualLimits('D', seam), seen('spatter-fine', 1)).verdict).toBe('pass');
  });

  it('asks for the root where it must come through', () => {
    const limits = usualLimits('C', { ...seam, back: 'through' });
    expect(trialVerdict(limits, good).lines.find(({ line }) => line === 'back')?.verdict).toBe('fail');
    const through: Looked = { ...good, symptoms: { ...allClean, 'printed-through': { answer: 'yes' } } };
    expect(trialVerdict(limits, through).lines.find(({ line }) => line === 'back')?.verdict).toBe('pass');
  });

  it('is by eye only until something was broken or cut', () => {
    const limits = { ...usualLimits('C', seam), rootFusion: true };
    expect(trialVerdict(limits, good)).toMatchObject({ verdict: 'pass', byEyeOnly: true });
    const broken = (result: 'pass' | 'fail'): Looked => ({ ...good, tests: [{ kind: 'fracture', result }] });
    expect(trialVerdict(limits, broken('pass'))).toMatchObject({ verdict: 'pass', byEyeOnly: false });
    expect(trialVerdict(limits, broken('fail')).verdict).toBe('fail');
  });
});

describe('seconds and millimetres', () => {
  it('are travel with its error, heat and ripples', () => {
    const figures = timedFigures({ seconds: 30, lengthMm: 250, by: 'helper' }, { powerW: 3000, beatHz: 2 });
    expect(figures.travelMmPerMin).toBeCloseTo(500, 9);
    // 0.7 s of 30 s.
    expect(figures.errorMmPerMin / figures.travelMmPerMin).toBeCloseTo(0.7 / 30, 9);
    // 0.8 x 3 kW over 8.33 mm/s.
    expect(figures.heatInputKjPerMm).toBeCloseTo(0.288, 3);
    expect(figures.rippleMm).toBeCloseTo(8.333 / 2, 3);
  });
});

describe('a sweep', () => {
  const plan = sweepPlan({ stepMm: 0.4, down: 4, up: 3, travelMmPerMin: 480, mmPerStep: 24 });

  it('goes from the card down, back, and up, with marks and seconds', () => {
    expect(plan.steps.map(({ dialSteps }) => dialSteps)).toEqual([0, -1, -2, -3, -4, 0, 1, 2, 3]);
    // 24 mm at 8 mm/s.
    expect(plan.secondsPerStep).toBeCloseTo(3, 9);
    expect(plan.lengthMm).toBe(9 * 24);
    expect(stepAt(plan, 7)?.dialSteps).toBe(-2);
    expect(stepAt(plan, 100)).toBeUndefined();
  });

  it('gives the band between the first crackle and the first long arc', () => {
    expect(sweepBand(plan, 3, 7)).toMatchObject({
      lowMm: expect.closeTo(-0.8, 9),
      highMm: expect.closeTo(0.4, 9),
      middleSteps: 0,
      isOpenBelow: false,
    });
    // Three dial steps at once: the last good step is three back from the crackle.
    const coarse = sweepPlan({ stepMm: 0.1, stride: 3, down: 3, up: 3, travelMmPerMin: 480, mmPerStep: 24 });
    expect(sweepBand(coarse, 2, null)).toMatchObject({
      lowMm: expect.closeTo(-0.3, 9),
      highMm: expect.closeTo(0.9, 9),
    });
    const open = sweepBand(plan, null, null);
    expect(open).toMatchObject({ isOpenBelow: true, isOpenAbove: true });
    expect(open.lowMm).toBeCloseTo(-1.6, 9);
  });
});

describe('the coupons', () => {
  it('begin with a sweep where the trim is not known, and leave it out where it is', () => {
    const kinds = (trimSdMm: number) => trialPlan({ trimSdMm, stepMm: 0.4 }).map(({ kind }) => kind);
    expect(kinds(0.5)[0]).toBe('sweep');
    expect(kinds(0.1)).not.toContain('sweep');
    expect(kinds(0.5).at(-1)).toBe('confirm');
  });

  it('end with three passes in a row', () => {
    expect(passesInRow(['pass', 'pass', 'fail', 'pass'])).toBe(2);
    expect(passesInRow(['open', 'pass'])).toBe(0);
  });
});

describe('nearness', () => {
  const kind = {
    materialGroup: 'steel',
    thicknessMm: 4,
    joint: 'tee',
    position: 'PB',
    gas: 'M21-ArC-18',
    filler: 'steel-solid',
    diameterMm: 1,
    mode: 'pulse',
  } as const;

  it('is nought for the same weld, and names what differs', () => {
    expect(nearness(kind, kind)).toEqual({ distance: 0, differs: [] });
    const other = nearness(kind, { ...kind, thicknessMm: 8, gas: 'M20-ArC-8' });
    expect(other.distance).toBeCloseTo(2, 9);
    expect(other.differs).toEqual(['gas', 'thickness']);
    expect(nearness(kind, { ...kind, materialGroup: 'aluminium' }).distance).toBeGreaterThan(tooFar);
  });
});

describe('single against double pulse', () => {
  const input = scenarios.find(({ id }) => id === 'trike-lid-seam')?.input;
  const other = input?.mode === 'double-pulse' ? 'pulse' : 'double-pulse';

  it('is the other one at the same wire and pace, so at the same leg, and one coupon of the plan', () => {
    const plan = input && planSeam(input);
    if (!input || !plan?.ok) throw new Error('no plan');
    const found = otherBeat(input, plan.value);
    if (!found?.ok) throw new Error('no other');
    expect(found.value.mode).toBe(other);
    expect(found.value.plan.wireFeedMPerMin).toBeCloseTo(plan.value.wireFeedMPerMin, 9);
    expect(found.value.plan.travelMmPerMin).toBeCloseTo(plan.value.travelMmPerMin, 9);
    // Legs are told to a tenth.
    expect(Math.abs((found.value.plan.legMm ?? 0) - (plan.value.legMm ?? 0))).toBeLessThan(0.1);
    expect((found.value.plan.slowBeat === null) !== (plan.value.slowBeat === null)).toBe(true);
    expect(otherBeat({ ...input, mode: 'dip' }, plan.value)).toBeNull();
  });

  it('is welded before starts and stops, where both are open', () => {
    const kinds = (hasOtherBeat: boolean) =>
      trialPlan({ trimSdMm: 0.5, stepMm: 0.3, hasOtherBeat }).map(({ kind }) => kind);
    expect(kinds(false)).not.toContain('other-beat');
    const both = kinds(true);
    expect(both.indexOf('other-beat')).toBeLessThan(both.indexOf('start-and-stop'));
  });
});
