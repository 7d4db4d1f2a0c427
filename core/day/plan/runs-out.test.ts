import { describe, expect, it } from '@jest/globals';
import { cylinderOutlook, partTakes, partUse } from '../consumption/index.ts';
import { programFromPlan } from '../../setting/program/index.ts';
import { planSeam } from '../../setting/plan/index.ts';
import { rowan, scenarios } from '../../scenarios/index.ts';
import { planDay, runsOut, type NextJob } from './index.ts';

function job(id: string, quantity: number): NextJob {
  const { input } = scenarios.find((one) => one.id === id) ?? {};
  const plan = input && planSeam(input);
  if (!input || !plan?.ok) throw new Error(`no plan for ${id}`);
  return {
    id,
    program: programFromPlan(input, plan.value),
    arcMinutes: plan.value.arcSeconds / 60,
    takes: partTakes(plan.value),
    quantity,
  };
}
const jobs = [job('axle-plate-to-tube', 6), job('hitch-bracket-fillet', 10)];
const plan = planDay(jobs, [{ id: 'rowan', file: rowan, state: null }]);
const cylinder = (pressureBar: number, machineId: string | null = 'rowan') => ({
  name: 'Mix 9',
  machineId,
  gas: jobs[0]!.program.gas,
  volumeL: 10,
  pressureBar,
  massKg: null,
});

describe('what runs out in the course of a day', () => {
  it('is drawn down job after job: the piece and the minute are those of the job it ends in', () => {
    const [first, second] = plan.bars.map(({ jobId }) => jobs.find(({ id }) => id === jobId)!);
    if (!first || !second) throw new Error('two jobs');
    const per = (one: NextJob) => cylinderOutlook(cylinder(200), partUse(one.program, one.takes)).perPart;
    // Enough for all of the first and three of the second.
    const litres = per(first) * first.quantity + per(second) * 3.5;
    const [end] = runsOut(plan, jobs, { cylinders: [cylinder(litres / 10 + 5)], spools: [] });
    expect(end).toMatchObject({ name: 'Mix 9', machineId: 'rowan', jobId: second.id, pieces: 3 });
    const bar = plan.bars.find(({ jobId }) => jobId === second.id)!;
    expect(end?.atMinute).toBeCloseTo(bar.fromMinute + ((bar.toMinute - bar.fromMinute) * 3) / second.quantity, 9);
  });

  it('is nothing while it lasts, where it hangs elsewhere, or where it is another gas or wire', () => {
    const none = (cylinders: ReturnType<typeof cylinder>[]) => runsOut(plan, jobs, { cylinders, spools: [] });
    expect(none([cylinder(200)])).toEqual([]);
    expect(none([cylinder(6, null)])).toEqual([]);
    expect(none([{ ...cylinder(6), gas: 'I1' }])).toEqual([]);
    const spool = { name: 'Wire', machineId: 'rowan', filler: jobs[0]!.program.filler, diameterMm: 1.6, massKg: 0 };
    expect(runsOut(plan, jobs, { cylinders: [], spools: [spool] })).toEqual([]);
  });

  it('names an empty spool at the very first piece', () => {
    const { filler, diameterMm } = jobs[0]!.program;
    const spool = { name: 'Wire', machineId: 'rowan', filler, diameterMm, massKg: -0.2 };
    expect(runsOut(plan, jobs, { cylinders: [], spools: [spool] })[0]).toMatchObject({ name: 'Wire', pieces: 0 });
  });
});
