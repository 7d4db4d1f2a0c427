import { describe, expect, it } from '@jest/globals';
import { programFromPlan } from '../../setting/program/index.ts';
import { whyNot } from '../../machine/dials/index.ts';
import { planSeam } from '../../setting/plan/index.ts';
import { alder, hazel, rowan, scenarios, steelFeeder } from '../../scenarios/index.ts';
import { handlingMinutes, nearestTo, planDay, type DayJob, type DayMachine } from './index.ts';

function job(id: string, quantity = 4, dueMinute?: number): DayJob {
  const { input } = scenarios.find((one) => one.id === id) ?? {};
  const plan = input && planSeam(input);
  if (!input || !plan?.ok) throw new Error(`no plan for ${id}`);
  return {
    id,
    program: programFromPlan(input, plan.value),
    arcMinutes: plan.value.arcSeconds / 60,
    quantity,
    dueMinute,
  };
}

const machines: DayMachine[] = [rowan, hazel, alder].map((file) => ({
  id: file.name.toLowerCase(),
  file,
  state: null,
}));
const jobs = ['axle-plate-to-tube', 'hitch-bracket-fillet', 'sink-flange-lap', 'trike-box-floor', 'trike-lid-seam'].map(
  (id) => job(id),
);

describe('a day', () => {
  it('puts every job on a machine that can say it, one after the other, with nothing overlapping', () => {
    const { bars, unplaced } = planDay(jobs, machines);
    expect([...bars.map(({ jobId }) => jobId), ...unplaced].sort()).toEqual(jobs.map(({ id }) => id).sort());
    for (const bar of bars) {
      const machine = machines.find(({ id }) => id === bar.machineId);
      const { program, arcMinutes, quantity } = jobs.find(({ id }) => id === bar.jobId) as DayJob;
      expect(machine && whyNot(machine.file, program)).toBeNull();
      expect(bar.toMinute - bar.fromMinute).toBeCloseTo((arcMinutes + handlingMinutes) * quantity, 9);
    }
    for (const { id } of machines) {
      const own = bars.filter(({ machineId }) => machineId === id).sort((a, b) => a.fromMinute - b.fromMinute);
      own.slice(1).forEach((bar, at) => expect(bar.fromMinute).toBeGreaterThanOrEqual(own[at]?.toMinute ?? 0));
    }
  });

  it('is not changed by a half-described machine, which is left out by name with what is missing', () => {
    const halves = {
      'a feed dial and no chart': { ...rowan, name: 'Larch', chartLines: [] },
      'a chart and no feed dial': {
        ...rowan,
        name: 'Larch',
        dials: rowan.dials.filter(({ scale }) => scale.kind === 'chart-line'),
      },
      'one dial of no use': { ...rowan, name: 'Larch', chartLines: [], dials: rowan.dials.slice(-1) },
    };
    const whole = planDay(jobs, machines);
    expect(whole.halfDescribed).toEqual([]);
    for (const [what, file] of Object.entries(halves)) {
      const beside = planDay(jobs, [...machines, { id: 'larch', file, state: null }]);
      expect({ what, bars: beside.bars }).toEqual({ what, bars: whole.bars });
      const [left] = beside.halfDescribed;
      expect(left?.machineId).toBe('larch');
      expect(left?.missing.length).toBeGreaterThan(0);
    }
  });

  it('checks current and duty of every operation, also where no dial picks the line', () => {
    const { program } = jobs[0] as DayJob;
    const noLineDial = { ...rowan, dials: rowan.dials.filter(({ scale }) => scale.kind !== 'chart-line') };
    expect(whyNot(noLineDial, program)).toBeNull();
    expect(whyNot({ ...noLineDial, chartLines: [] }, program)).toBe('no-chart');
    expect(
      whyNot({ ...noLineDial, chartLines: rowan.chartLines.slice(0, 0) }, { ...program, mode: 'dip', pulse: null }),
    ).toBeNull();
    expect(whyNot(noLineDial, { ...program, gas: 'C1' })).toBe('chart');
    expect(whyNot({ ...rowan, limits: { ...rowan.limits, peakCurrentA: 60 } }, program)).toBe('current');
    const faint = { ...rowan.limits, duty: [{ percent: 100, currentA: 20 }] };
    expect(whyNot({ ...rowan, limits: faint }, program)).toBe('duty');
  });

  it('says why no machine can, and which comes nearest', () => {
    const { program } = jobs[0] as DayJob;
    expect(whyNot(rowan, program)).toBeNull();
    const fast = { ...program, wireFeedMPerMin: 60 };
    expect(whyNot(rowan, fast)).toBe('feed');
    expect(whyNot({ ...rowan, dials: [] }, program)).toBe('no-dials');
    expect(whyNot({ ...rowan, limits: { ...rowan.limits, wireSizesMm: [0.8] } }, program)).toBe('wire-size');
    // One that lacks a line on its chart is nearer than one that takes no such wire.
    const thick = { id: 'a', file: { ...rowan, limits: { ...rowan.limits, wireSizesMm: [0.8] } } };
    expect(nearestTo([thick, { id: 'b', file: rowan }], fast)).toMatchObject({ machine: { id: 'b' }, why: 'feed' });
    expect(nearestTo([], fast)).toBeUndefined();
  });

  it('what was due before it began is late by all of its own end', () => {
    const late = planDay([job('axle-plate-to-tube', 4, -480)], machines).bars[0];
    expect(late?.lateMinutes).toBeCloseTo((late?.toMinute ?? 0) + 480, 9);
  });

  it('counts the changeovers of the set-up walk', () => {
    const state = {
      process: 'gas-metal',
      polarity: 'electrode-positive',
      feederId: rowan.feeders[0]?.id ?? '',
      feeders: Object.fromEntries(rowan.feeders.map(({ id }) => [id, steelFeeder])),
      dials: {},
    } as const;
    const steel = [job('axle-plate-to-tube'), job('hitch-bracket-fillet'), job('frame-corner-butt')];
    const { bars, setupMinutes } = planDay(steel, [{ id: 'rowan', file: rowan, state }]);
    // The two in 1.0 mm wire stand together: the thicker wire is threaded once.
    const order = bars.map(({ jobId }) => jobId);
    expect(Math.abs(order.indexOf('axle-plate-to-tube') - order.indexOf('frame-corner-butt'))).toBe(1);
    expect(setupMinutes).toBeCloseTo(
      bars.reduce((sum, bar) => sum + bar.setupMinutes, 0),
      9,
    );
    expect(setupMinutes).toBeGreaterThan(5);
  });

  it('says which job no machine here can say', () => {
    const { unplaced } = planDay([job('jack-post-upright')], [machines[1] as DayMachine]);
    expect(unplaced).toEqual(['jack-post-upright']);
  });

  it('holds what was put first by hand, and lets go of what cannot stand there', () => {
    const { bars } = planDay(jobs, machines, { rowan: ['hitch-bracket-fillet', 'nothing'] });
    const own = bars.filter(({ machineId }) => machineId === 'rowan').sort((a, b) => a.fromMinute - b.fromMinute);
    expect(own[0]?.jobId).toBe('hitch-bracket-fillet');
  });
});
