import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { programFromPlan, type Program } from '../../setting/program/index.ts';
import { planSeam, type PlanInput, standardSite } from '../../setting/plan/index.ts';
import { diagnose, type DiagnoseInput, type Diagnosis } from './index.ts';

const steel: PlanInput = {
  seam: {
    materialGroup: 'steel',
    thicknessesMm: [4, 4],
    joint: 'tee',
    position: 'PB',
    gapMm: 0,
    lengthMm: 300,
  },
  arcHabit: 'by-joint',
  site: standardSite,
  filler: 'steel-solid',
  gas: 'M20-ArC-8',
  diameterMm: 1.2,
  mode: 'pulse',
};

function programOf(input: PlanInput): Program {
  const plan = planSeam(input);
  if (!plan.ok) throw new Error(JSON.stringify(plan.issues));
  return programFromPlan(input, plan.value);
}

const program = programOf(steel);

function judged(asked: Omit<DiagnoseInput, 'program'>): Diagnosis {
  const answer = diagnose({ program, ...asked });
  if (!answer.ok) throw new Error(JSON.stringify(answer.issues));
  return answer.value;
}

const first = ({ causes }: Diagnosis, n = 1) => causes.slice(0, n).map(({ code }) => code);

describe('diagnosis', () => {
  it('gives the priors and a look where nobody looked, and no move', () => {
    const answer = judged({ symptoms: {} });
    expect(answer.nextLook).not.toBeNull();
    expect(answer.moves).toEqual([]);
    expect(answer.warnings.map(({ code }) => code)).toEqual(['judge.nothing-to-judge']);
  });

  it('knows a slow hand by the watch and the leg, and asks for more pace, not for less wire', () => {
    const { predicted } = judged({ symptoms: {} });
    const answer = judged({
      symptoms: { 'printed-through': 'yes' },
      measured: {
        travelMmPerMin: 0.72 * program.travelMmPerMin,
        // Leg goes with the root of the metal laid per length.
        legsMm: [predicted.legMm * Math.sqrt(1 / 0.72), predicted.legMm * Math.sqrt(1 / 0.72)],
      },
      limits: { legMm: [predicted.legMm - 1, predicted.legMm + 0.5] },
    });
    expect(first(answer)).toEqual(['travel-slow']);
    expect(answer.moves[0]).toMatchObject({ code: 'travel-up', kind: 'hand' });
    expect(answer.moves[0]?.predicted.legMm).toBeCloseTo(predicted.legMm, 9);
    expect(answer.backCheck?.agrees).toBe(true);
  });

  it('flags a leg that does not fit the metal that was fed', () => {
    const { predicted } = judged({ symptoms: {} });
    const answer = judged({
      symptoms: {},
      measured: { travelMmPerMin: program.travelMmPerMin, legsMm: [1.4 * predicted.legMm, 1.4 * predicted.legMm] },
    });
    expect(answer.backCheck?.agrees).toBe(false);
    expect(answer.backCheck?.words?.code).toBe('judge.leg-too-large');
  });

  it('tells a long stick-out by the current that falls, at the same volts', () => {
    const { predicted } = judged({ symptoms: {} });
    const answer = judged({
      symptoms: { crackle: 'no' },
      measured: {
        displayedCurrentA: predicted.displayedCurrentA - 20,
        displayedVoltageV: predicted.displayedVoltageV,
      },
    });
    expect(first(answer, 3)).toContain('stick-out-long');
  });

  it('believes what was read on the spool, and a thermometer', () => {
    const { filler, gas } = program;
    const spool = judged({ symptoms: { crackle: 'yes' }, facts: { loaded: { filler, gas, diameterMm: 1 } } });
    expect(first(spool)).toEqual(['size-wrong']);
    const hot = judged({ symptoms: { 'printed-through': 'yes' }, facts: { plateC: 160 } });
    expect(first(hot)).toEqual(['plate-hot']);
  });

  it('suspects a part past its life before one that is new, and says by how much', () => {
    const worn = (used: number) =>
      judged({
        symptoms: { 'arc-wanders': 'yes', crackle: 'no' },
        facts: { worn: [{ part: 'contact-tip', used, expected: 240 }] },
      });
    const chance = (answer: ReturnType<typeof judged>) =>
      answer.causes.find(({ code }) => code === 'tip-worn')?.probability ?? 0;
    const [fresh, old, older] = [worn(0), worn(300), worn(3000)].map(chance);
    expect(fresh).toBeLessThan(0.5 * (old ?? 0));
    expect(older).toBeGreaterThan(old ?? 1);
    expect(first(worn(300))).toEqual(['tip-worn']);
    const because = worn(300).causes[0]?.because.map((one) => inEnglish(one));
    expect(because?.join(' ')).toMatch(/Contact tip: 300 min of use, where such parts last 240 min in this shop/);
    // Feeding parts move their own causes, not each other's.
    const liner = judged({
      symptoms: { slipping: 'yes' },
      facts: { worn: [{ part: 'liner', used: 400, expected: 150 }] },
    });
    expect(first(liner)).toEqual(['liner']);
  });

  it('suspects gas and surface, not the dials, where there are pores', () => {
    const answer = judged({ symptoms: { 'pores-row': 'yes', crackle: 'no', flutter: 'no' } });
    expect(answer.causes.slice(0, 5).every(({ code }) => !/^(trim|feed|travel)/.test(code))).toBe(true);
    expect(answer.nextLook?.minutes).toBeLessThanOrEqual(1);
  });

  it('names what spoke for every cause, and never pairs opposites', () => {
    const answer = judged({ symptoms: { crackle: 'yes' } });
    for (const { because } of answer.causes) expect(because.at(-1)?.code).toBe('judge.because-prior');
    expect(answer.causes[0]?.because[0]?.code).toBe('judge.because-seen');
    expect(answer.pairs.some(({ codes }) => codes.includes('trim-low') && codes.includes('trim-high'))).toBe(false);
  });

  it('warns that a lever hides what it does not mend', () => {
    const { predicted } = judged({ symptoms: {} });
    const answer = judged({
      symptoms: { crackle: 'yes', 'spatter-fine': 'yes' },
      measured: { displayedCurrentA: predicted.displayedCurrentA - 10, displayedVoltageV: predicted.displayedVoltageV },
    });
    const hiding = answer.moves.find(({ code }) => code === 'trim-up' || code === 'trim-down');
    expect(answer.moves.some(({ kind }) => kind === 'set-up')).toBe(true);
    if (hiding) expect(hiding.sideEffects.length).toBeGreaterThan(0);
  });

  it('says a slow beat cannot be off where there is none', () => {
    const answer = judged({ symptoms: { 'uneven-ripples': 'yes' } });
    expect(answer.causes.find(({ code }) => code === 'beat-off')?.probability).toBeLessThan(0.02);
  });
});
