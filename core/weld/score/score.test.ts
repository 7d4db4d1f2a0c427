/** Scores of shop seams: millimetres, sums, ends, crater, checks. Expected figures follow from feed × time and travel speed × time, worked by hand beside them. */
import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { translate } from '../../machine/dials/index.ts';
import { planSeam } from '../../setting/plan/index.ts';
import { alder, hazel, rowan, scenarios } from '../../scenarios/index.ts';
import { sequenceTemplates } from '../sequence/index.ts';
import { wordsIn } from '@fox-tempo/words';
import { craterFill } from './crater.ts';
import { electricalOf } from './electrical.ts';
import { seamScore } from './intended.ts';
import { sequenceOnMachine } from './on-machine.ts';
import { countWords, handPresses, pressLines } from './presses.ts';
import { sampleScore } from './samples.ts';
import { scoreOf, type ScoreOf } from './score.ts';
import { programOf, scored } from './testing/scores.ts';

const template = (id: string) => sequenceTemplates.find((one) => one.id === id)?.change ?? {};
const codes = ({ checks }: ScoreOf) => checks.map(({ code }) => code);
const warm = { ...template('cold-plate-warm-hand'), tapsAtMm: [90] };

describe('the score of an aluminium frame seam', () => {
  const whole = scored('trike-frame-node', warm);
  const { totals, program, score } = whole;
  const phase = (name: string) => totals.phases.find((one) => one.phase === name);

  it('ends where the seam ends, with the tap at its place', () => {
    expect(totals.mm).toBeCloseTo(180, 1);
    expect(score.overrunMm).toBe(0);
    const second = score.played.find(({ name }) => name === 'second');
    expect(score.gun.mmAt(second?.fromS ?? 0)).toBeCloseTo(90, 1);
  });

  it('says each phase in seconds, millimetres, wire and gas', () => {
    const pace = program.travelMmPerMin / 60;
    expect(phase('start')).toMatchObject({
      seconds: expect.closeTo(1, 6),
      mm: expect.closeTo(pace, 6),
      percent: [130, 130],
    });
    // 1 s at 130 % of the feed through 1.131 mm² at 2.64 g/cm³.
    const wireG = ((program.wireFeedMPerMin * 1.3 * 1000) / 60) * 1.131 * 2.64e-3;
    expect(phase('start')?.wireG).toBeCloseTo(wireG, 2);
    expect(phase('pre-gas')?.gasL).toBeCloseTo((program.gasFlowLPerMin * 0.5) / 60, 6);
    expect(phase('end')?.mm).toBe(0);
    const sum = totals.phases.reduce((total, one) => total + one.energyKj, 0);
    expect(totals.energyKj).toBeCloseTo(sum, 9);
  });

  it('a slope’s wire is that of its mean level', () => {
    const slope = phase('slope-in');
    const perS = ((program.wireFeedMPerMin * 1.15 * 1000) / 60) * 1.131 * 2.64e-3;
    expect(slope?.wireG).toBeCloseTo(perS * 0.5, 2);
  });

  it('warns of nothing, and both ends come out as warm as the seam', () => {
    expect(codes(whole)).toEqual([]);
    expect([whole.ends.first.verdict, whole.ends.last.verdict]).toEqual(['right', 'right']);
  });

  it('says the hand’s part in counts', () => {
    expect(inEnglish(pressLines(score))).toEqual([
      expect.stringMatching(/^At the start: press and hold until 1\.1 s after the arc, 16 mm: one\. Let go\.$/),
      expect.stringMatching(/^At 88 mm: tap\.$/),
      expect.stringMatching(/^At 167 mm: press and hold 2\.1 s: one, two\. Let go\.$/),
    ]);
    expect(handPresses(score).map(({ kind }) => kind)).toEqual(['hold', 'tap', 'hold']);
    expect(inEnglish(countWords(2.5))).toBe('one, two and a half');
  });
});

describe('what a score is warned of', () => {
  it('a cold start and an open crater on aluminium', () => {
    const plain = scored('trike-frame-node', { trigger: 'hold' });
    expect(codes(plain)).toEqual(expect.arrayContaining(['crater-unfilled']));
    expect(plain.ends.first.warmth).toBeLessThan(scored('trike-frame-node', warm).ends.first.warmth);
  });

  it('steel, which spreads heat slowly, is warm within its first millimetres without a hot start', () => {
    const steel = scored('hitch-bracket-fillet');
    expect(steel.ends.first.verdict).toBe('right');
    expect(codes(steel)).not.toContain('crater-unfilled');
  });

  it('slopes that meet on a short seam, with the millimetres', () => {
    const short = scored('trike-frame-node', { ...warm, tapsAtMm: [], startS: 2, slopeInS: 1 }, 30);
    expect(codes(short)).toContain('short-seam');
    // 0.1 + 2 + 1 s of start and slope and 0.3 + 0.6 s to the end at 14.8 mm/s.
    expect(short.score.overrunMm).toBeGreaterThan(25);
    expect(short.totals.mm).toBeCloseTo(30 + short.score.overrunMm, 6);
  });

  it('a level outside what the wire pulses', () => {
    const low = scored('trike-frame-node', { ...warm, endPercent: 20 });
    expect(codes(low)).toContain('no-pulse-at-level');
  });

  it('a tap that finds no main to change, and phases the trigger has not got', () => {
    expect(codes(scored('trike-frame-node', { ...warm, tapsAtMm: [5] }))).toContain('tap-without-room');
    expect(codes(scored('trike-frame-node', { ...warm, trigger: 'hold' }))).toContain('without-effect');
  });

  it('numbers out of their limits are refused with their place', () => {
    const { program } = programOf('trike-frame-node', { preGasS: -1, startPercent: 900, tapsAtMm: [50, 20] });
    const outcome = scoreOf(program, { lengthMm: 0, thicknessMm: 4 });
    expect(outcome.ok ? [] : outcome.issues.map(({ path }) => path)).toEqual([
      'sequence.preGasS',
      'sequence.startPercent',
      'sequence.tapsAtMm.1',
      'lengthMm',
    ]);
  });
});

describe('electrical figures along a score', () => {
  it('read between grid points within 0.5 % of solved ones', () => {
    const { program } = programOf('hitch-bracket-fillet');
    const coarse = electricalOf(program);
    for (const feed of [4.13, 6.71, 8.88]) {
      const fresh = electricalOf({ ...program, wireFeedMPerMin: feed });
      const neighbours = [fresh.at(Math.floor(feed / 0.5) * 0.5), fresh.at(Math.ceil(feed / 0.5) * 0.5)];
      const got = coarse.at(feed);
      expect(got.currentA).toBeGreaterThan(neighbours[0]?.currentA ?? 0);
      expect(got.currentA).toBeLessThan(neighbours[1]?.currentA ?? 0);
      expect(got.powerW / got.currentA / got.voltageV).toBeGreaterThan(1);
    }
  });

  it('main agrees with the plan it came from', () => {
    const scenario = scenarios.find(({ id }) => id === 'hitch-bracket-fillet');
    const plan = scenario && planSeam(scenario.input);
    const { program } = programOf('hitch-bracket-fillet');
    const at = electricalOf(program).at(program.wireFeedMPerMin);
    if (!plan?.ok) throw new Error('no plan');
    expect(at.currentA / plan.value.meanCurrentA).toBeCloseTo(1, 2);
    expect(at.pulsed).toBe(true);
  });

  it('a trim makes the arc longer and the voltage higher', () => {
    const { program } = programOf('hitch-bracket-fillet');
    const electrical = electricalOf(program);
    expect(electrical.at(8, 1).voltageV).toBeGreaterThan(electrical.at(8).voltageV + 0.3);
  });

  it('the slow beat’s mean energy is that of its two levels', () => {
    const { program, lengthMm } = programOf('trike-lid-seam');
    expect(program.slowBeat).not.toBeNull();
    const score = seamScore(program, lengthMm);
    const samples = sampleScore(program, score, 0.002).filter(({ phase }) => phase === 'main');
    const power = samples.reduce((sum, { currentA, voltageV }) => sum + currentA * voltageV, 0) / samples.length;
    const { program: made, score: drawn, totals } = scored('trike-lid-seam');
    expect(made).toEqual(program);
    expect(drawn.played.map(({ name }) => name)).toEqual(score.played.map(({ name }) => name));
    const main = totals.phases.find(({ phase }) => phase === 'main');
    // True power lies a little above volts times amps in a pulse.
    const ratio = ((main?.energyKj ?? 0) * 1000) / (main?.seconds ?? 1) / power;
    expect(ratio).toBeGreaterThan(1);
    expect(ratio).toBeLessThan(1.25);
  });
});

describe('the crater', () => {
  it('says the crater so that its printed terms give its time, in both systems', async () => {
    for (const id of ['trike-frame-node', 'trike-lid-seam', 'axle-plate-to-tube']) {
      const { because, holdS } = craterFill(programOf(id).program);
      const said = (await wordsIn('en', 'metric')).format(because);
      expect((await wordsIn('en', 'us')).format(because)).toBe(said);
      const figure = (shape: RegExp) => Number(shape.exec(said)?.[1]);
      const hollow = (figure(/section ([\d.]+) mm²/) * figure(/pool ([\d.]+) mm/)) / 2;
      // A pool is printed to the millimetre: half of one in eight.
      expect(Math.abs(hollow / figure(/hollow of ([\d.]+) mm³/) - 1)).toBeLessThan(0.07);
      expect(figure(/hollow of ([\d.]+) mm³/) / figure(/fills ([\d.]+) mm³\/s/)).toBeCloseTo(holdS, 1);
    }
  });

  it('takes longer at a lower level, in proportion', () => {
    const { program } = programOf('trike-frame-node', { endPercent: 50 });
    const half = craterFill(program);
    const whole = craterFill({ ...program, sequence: { ...program.sequence, endPercent: 100 } });
    expect(half.holdS / whole.holdS).toBeCloseTo(2, 9);
    expect(half.bandS[0]).toBeLessThan(half.holdS);
    expect(inEnglish(half.because)).toContain('mm³/s');
  });
});

describe('the same score on three machines', () => {
  const { program } = programOf('trike-frame-node', warm);
  const on = (machine: typeof rowan) => sequenceOnMachine(machine, program, translate(machine, program));

  it('Alder says all of it in percent', () => {
    const there = on(alder);
    expect(there).toMatchObject({ sameSchool: true, lost: [], mode: { label: 'Latched, two levels' } });
    expect(there.parts.find(({ part }) => part === 'slope to main')).toMatchObject({
      label: 'Lead-in slope',
      said: '0.5 s',
    });
  });

  it('Rowan says levels in m/min and has no slopes', () => {
    const there = on(rowan);
    expect(there.mode?.label).toBe('Press on, tap level');
    expect(inEnglish(there.parts.find(({ part }) => part === 'start level')?.said)).toBe('9.0 m/min');
    expect(there.lost.map(({ quantity }) => quantity)).toEqual(['slopeInS', 'slopeOutS']);
    expect(there.asRun.sequence).toMatchObject({ slopeInS: 0, slopeOutS: 0, trigger: 'latch-second' });
    expect(there.habit.endLimitS).toBe(6);
  });

  it('Hazel times the ends by itself, and cannot tap', () => {
    const there = on(hazel);
    expect([there.sameSchool, there.mode?.label]).toEqual([false, 'Ends']);
    expect(there.asRun.sequence).toMatchObject({
      trigger: 'hold-timed',
      startS: 0.5,
      endS: 0.8,
      slopeInS: 0,
      tapsAtMm: [],
    });
    expect(there.lost.map(({ quantity }) => quantity)).toEqual(
      expect.arrayContaining(['trigger', 'slopeInS', 'slopeOutS', 'secondFeedMPerMin', 'startS', 'endS']),
    );
    expect(there.lost.filter(({ quantity }) => quantity === 'secondFeedMPerMin')).toHaveLength(1);
  });

  it('each of the three welds the whole seam', () => {
    for (const machine of [rowan, hazel, alder]) {
      const there = on(machine);
      expect(seamScore(there.asRun, 180, there.habit).gun.endMm).toBeCloseTo(180, 0);
    }
  });
});
