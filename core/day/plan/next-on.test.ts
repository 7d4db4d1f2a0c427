import { describe, expect, it } from '@jest/globals';
import { partTakes } from '../consumption/index.ts';
import { programFromPlan } from '../../setting/program/index.ts';
import { translate } from '../../machine/dials/index.ts';
import { planSeam } from '../../setting/plan/index.ts';
import { alder, rowan, scenarios } from '../../scenarios/index.ts';
import { neededSetup, setUpFor, unknownState, type MachineState } from '../../machine/setup/index.ts';
import { shiftPage, type NextJob, type NextStock } from './index.ts';

function job(id: string, scenarioId: string, change: Partial<NextJob> = {}): NextJob {
  const { input } = scenarios.find((one) => one.id === scenarioId)!;
  const plan = planSeam(input);
  if (!plan.ok) throw new Error('the scenario is gone');
  return {
    id,
    program: programFromPlan(input, plan.value),
    arcMinutes: 0.5,
    takes: partTakes(plan.value),
    quantity: 10,
    ...change,
  };
}
const steel = job('steel', 'axle-plate-to-tube', { dueMinute: 480 });
const aluminium = job('aluminium', 'trike-box-floor', { dueMinute: 480 });
const [feeder] = rowan.feeders;
const standing: MachineState = {
  process: 'gas-metal',
  polarity: 'electrode-positive',
  feederId: feeder!.id,
  feeders: { [feeder!.id]: neededSetup(steel.program) },
  dials: setUpFor(rowan, unknownState(rowan), steel.program).dials,
};
const noStock: NextStock = { cylinders: [], spools: [] };
const machines = [
  { id: 'rowan', file: rowan, state: standing },
  { id: 'alder', file: alder, state: setUpFor(alder, unknownState(alder), aluminium.program) },
];

describe('the shift’s page', () => {
  it('says what each machine welds next, with the changeover of the set-up walk', () => {
    const { next, unplaced } = shiftPage([steel, aluminium], machines, noStock);
    expect(unplaced).toEqual([]);
    const onRowan = next.find(({ machineId }) => machineId === 'rowan');
    expect(onRowan).toMatchObject({ jobId: 'steel', setupMinutes: 0, steps: [], thenJobId: null });
    expect(onRowan?.dialsToSet).toBe(0);
    // Every dial that the card names, where none is known.
    const unread = shiftPage([steel], [{ ...machines[0]!, state: { ...standing, dials: {} } }], noStock).next[0];
    expect(unread?.dialsToSet).toBe(translate(rowan, steel.program).dials.length);
    expect(next.find(({ machineId }) => machineId === 'alder')).toMatchObject({ jobId: 'aluminium', dialsToSet: 0 });
    // A machine that nobody entered takes a whole changeover, so the work stays where it is set up.
    const unknown = shiftPage([aluminium], [{ id: 'alder', file: alder, state: null }], noStock).next[0];
    expect(unknown).toMatchObject({ jobId: 'aluminium', dialsToSet: null });
    expect(unknown?.setupMinutes).toBeGreaterThan(20);
  });

  it('names the steps where another wire is on, and what is welded after', () => {
    const { next } = shiftPage([steel, aluminium], machines.slice(0, 1), noStock, { rowan: ['aluminium'] });
    const [first] = next;
    expect(first).toMatchObject({ jobId: 'aluminium', thenJobId: 'steel' });
    expect(first!.steps.length).toBeGreaterThan(3);
    expect(first!.setupMinutes).toBeGreaterThan(5);
  });

  it('warns of what ends before the job is done: a cylinder at its last bar, a spool of a few grams', () => {
    const { gas, filler, diameterMm } = steel.program;
    const cylinder = (pressureBar: number, machineId: string | null = 'rowan') => ({
      name: `at ${pressureBar} bar`,
      machineId,
      gas,
      volumeL: 50,
      pressureBar,
      massKg: null,
    });
    const spool = (massKg: number) => ({ name: `${massKg} kg`, machineId: 'rowan', filler, diameterMm, massKg });
    const stock = (one: Partial<NextStock>): NextStock => ({ ...noStock, ...one });
    const ends = (one: Partial<NextStock>) => shiftPage([steel], machines, stock(one)).next[0]?.shortages;
    expect(ends({ cylinders: [cylinder(150)], spools: [spool(12)] })).toEqual([]);
    expect(ends({ cylinders: [cylinder(5)] })).toEqual([{ name: 'at 5 bar', pieces: 0 }]);
    // As it was stored with the setting, so that stock, costs and this page count alike.
    const perPart = steel.takes.wireKg;
    expect(ends({ spools: [spool(3.5 * perPart)] })).toEqual([{ name: `${3.5 * perPart} kg`, pieces: 3 }]);
    // Not on this machine.
    expect(ends({ cylinders: [cylinder(5, null), cylinder(5, 'alder')] })).toEqual([]);
  });

  it('leaves out what no machine can say, by name', () => {
    const none = job('thick', 'axle-plate-to-tube');
    const { unplaced, next } = shiftPage(
      [{ ...none, program: { ...none.program, wireFeedMPerMin: 99 } }],
      machines,
      noStock,
    );
    expect(unplaced).toEqual(['thick']);
    expect(next).toEqual([]);
  });
});
