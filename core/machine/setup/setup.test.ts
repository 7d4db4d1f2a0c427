import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { programFromPlan, type Program } from '../../setting/program/index.ts';
import { whyNot } from '../dials/index.ts';
import { planSeam } from '../../setting/plan/index.ts';
import { alder, aluminiumFeeder, hazel, rowan, scenarios, steelFeeder } from '../../scenarios/index.ts';
import {
  changeover,
  checkLoaded,
  firstArcList,
  leadEffect,
  leadTrend,
  neededSetup,
  stepKinds,
  type FeederState,
  type MachineState,
  placeCautions,
  workPlaces,
  setUpFor,
  unknownState,
} from './index.ts';

function program(id: string, change: object = {}): Program {
  const input = { ...scenarios.find((one) => one.id === id)!.input, ...change };
  const plan = planSeam(input);
  if (!plan.ok) throw new Error(inEnglish(plan.issues[0]?.message));
  return programFromPlan(input, plan.value);
}
const aluminium = program('trike-box-floor');
const steel = program('axle-plate-to-tube');
const aluFeeder = { ...aluminiumFeeder, flowLPerMin: aluminium.gasFlowLPerMin };
const oneFeeder: MachineState = {
  process: 'gas-metal',
  polarity: 'electrode-positive',
  feederId: 'one',
  feeders: { one: steelFeeder },
  dials: { line: 12 },
};
const kinds = (list: ReturnType<typeof changeover>) => list.steps.map((step) => step.kind);

describe('changeover', () => {
  it('from steel 1.0 in M21 to aluminium 1.2 in argon, one feeder: everything on the wire’s way', () => {
    const list = changeover(rowan, oneFeeder, aluminium);
    expect(kinds(list)).toEqual(['gas', 'flow', 'rolls', 'liner', 'wire', 'tip', 'tension', 'clean', 'dials']);
    expect(list.minutes).toBe(5 + 1 + 4 + 15 + 6 + 1 + 1 + 3 + 1);
    expect(inEnglish(list.steps.find((step) => step.kind === 'tip')?.to)).toBe('1.4');
  });

  it('on two feeders, with aluminium threaded on the right one: only the switch', () => {
    const state: MachineState = { ...oneFeeder, feederId: 'left', feeders: { left: steelFeeder, right: aluFeeder } };
    const list = changeover(alder, state, aluminium);
    expect(list.feederId).toBe('right');
    expect(kinds(list)).toEqual(['feeder', 'dials']);
  });

  it('is only the switch where the dials stand too', () => {
    const state = { ...oneFeeder, feederId: 'left', feeders: { left: steelFeeder, right: aluFeeder } };
    const set = { ...state, dials: setUpFor(alder, state, aluminium).dials };
    expect(kinds(changeover(alder, set, aluminium))).toEqual(['feeder']);
  });

  it('asks for nothing where the machine stands right', () => {
    expect(
      changeover(
        rowan,
        setUpFor(
          rowan,
          { ...oneFeeder, feeders: { one: { ...steelFeeder, flowLPerMin: steel.gasFlowLPerMin } } },
          steel,
        ),
        steel,
      ).steps,
    ).toEqual([]);
  });

  it('comes back whole from self-shielded wire, lift-arc TIG or stick', () => {
    const cored: FeederState = {
      ...steelFeeder,
      filler: 'steel-self-shielded',
      gas: 'none',
      groove: 'knurled',
      flowLPerMin: 0,
    };
    const back = changeover(
      rowan,
      { ...oneFeeder, process: 'self-shielded', polarity: 'electrode-negative', feeders: { one: cored } },
      steel,
    );
    expect(kinds(back).slice(0, 4)).toEqual(['polarity', 'process', 'gas', 'flow']);
    const fromTig = changeover(rowan, { ...oneFeeder, process: 'lift-tig', polarity: 'electrode-negative' }, steel);
    expect(kinds(fromTig)).toEqual(expect.arrayContaining(['polarity', 'process']));
    const fromStick = changeover(rowan, { ...oneFeeder, process: 'stick' }, steel);
    expect(kinds(fromStick)).toContain('process');
    expect(kinds(fromStick)).not.toContain('polarity');
  });

  it('takes the shop’s own minutes, keeps the order of what is forgotten, and a caution where a hazard is', () => {
    const list = changeover(hazel, { ...oneFeeder, polarity: 'electrode-negative' }, aluminium, { liner: 9 });
    expect(list.steps.find((step) => step.kind === 'liner')?.minutes).toBe(9);
    const order = kinds(list).map((kind) => stepKinds.indexOf(kind));
    expect(order).toEqual([...order].sort((a, b) => a - b));
    for (const kind of ['polarity', 'gas', 'wire', 'rolls'] as const) {
      expect(list.steps.find((step) => step.kind === kind)?.cautions.some((one) => one.level === 'hazard')).toBe(true);
    }
    // Only current-free ways of seeing the wire move.
    const how = inEnglish(list.steps.flatMap((step) => step.how)).join(' ');
    expect(how).toContain('carries no current');
    expect(how).toContain('Never brake the wire or spool with thumb or glove');
  });

  it('needs what practice wants: negative for self-shielded, knurled for cored, one tip size up for aluminium, flush tip in dip', () => {
    expect(neededSetup({ ...steel, filler: 'steel-self-shielded', gas: 'none' })).toMatchObject({
      polarity: 'electrode-negative',
      process: 'self-shielded',
      groove: 'knurled',
    });
    expect(neededSetup(aluminium)).toMatchObject({ tipMm: 1.4, groove: 'U', liner: 'polymer', recessMm: 3 });
    expect(neededSetup({ ...steel, mode: 'dip' }).recessMm).toBe(0);
    expect(neededSetup({ ...steel, diameterMm: 0.889 }).rollMm).toBe(0.9);
  });
});

describe('loaded against selected', () => {
  it('lets a matching machine through', () => {
    expect(checkLoaded(rowan, oneFeeder, steel)).toMatchObject({ blocked: false, selectedLine: { number: 12 } });
  });

  it.each([
    ['another wire is threaded', { feeders: { one: { ...steelFeeder, filler: 'stainless-solid' } } }, 'wire'],
    ['the chart stands on another wire', { dials: { line: 18 } }, 'wire'],
    ['the chart stands on another gas', { dials: { line: 14 } }, 'gas'],
    ['the chart stands on dip', { dials: { line: 15 } }, 'mode'],
    ['nobody knows the chart line', { dials: {} }, 'mode'],
    ['the poles are swapped', { polarity: 'electrode-negative' }, 'polarity'],
  ] as const)('blocks when %s', (_name, change, what) => {
    const check = checkLoaded(rowan, { ...oneFeeder, ...change }, steel);
    expect(check.blocked).toBe(true);
    expect(check.rows.find((row) => row.what === what)?.agrees).toBe(false);
  });
});

describe('lead resistance', () => {
  const reading = (mOhm: number, day: number) => ({ mOhm, at: new Date(Date.UTC(2026, 9, day)).toISOString() });

  it('shortens the arc by ΔR I / E at the same dial setting', () => {
    // 8 mΩ at 200 A is 1.6 V; steel in argon mix has 0.636 V/mm (a little more at 18 % CO2).
    const effect = leadEffect(steel, 200, 8);
    expect(effect.volts).toBeCloseTo(1.6, 9);
    expect(effect.arcMm).toBeCloseTo(-1.6 / 0.636, 1);
  });

  it('has a trend from three readings on, and a word when it is time to clean', () => {
    expect(leadTrend([])).toBeUndefined();
    expect(leadTrend([reading(14, 1)])?.perMonthMOhm).toBeUndefined();
    const trend = leadTrend([reading(14, 1), reading(19, 31), reading(16.5, 16)])!;
    expect(trend.perMonthMOhm).toBeCloseTo(5, 6);
    expect(trend.gainedMOhm).toBeCloseTo(5, 9);
    expect(inEnglish(trend.words)).toContain('clean the return clamp');
  });
});

describe('before the first arc of the day', () => {
  it('names eyes, ears and the fume of this metal', () => {
    for (const material of ['steel', 'stainless', 'aluminium', 'galvanised'] as const) {
      const list = inEnglish(firstArcList(material, 'pulse')).join(' ');
      expect(list).toContain('Hearing protection on');
      expect(list).toMatch(/darker shade/);
    }
    expect(inEnglish(firstArcList('stainless', 'dip')).join(' ')).toContain('hexavalent chromium');
    expect(inEnglish(firstArcList('galvanised', 'pulse')).join(' ')).toContain('zinc');
  });
});

describe('cautions where they arise', () => {
  it('stand at every place that is not the bench, none twice', () => {
    const all = workPlaces.flatMap((place) => placeCautions[place]).map(({ code }) => code);
    expect(new Set(all).size).toBe(all.length);
    for (const place of workPlaces) expect(placeCautions[place].length).toBeGreaterThan(0);
  });

  it('a wire brush at cleaning, a product at the nozzle, a bottle at the gas, the fume of a cored wire before the first arc', () => {
    const list = changeover(rowan, oneFeeder, aluminium);
    const codesAt = (kind: string) => list.steps.find((step) => step.kind === kind)?.cautions.map(({ code }) => code);
    expect(codesAt('clean')).toContain('brush-ends');
    expect(codesAt('tip')).toContain('nozzle-product');
    expect(codesAt('gas')).toContain('portable-bottle');
    expect(codesAt('wire')).toContain('lifting');
    const codes = (mode: 'cored' | 'pulse') => firstArcList('steel', mode).map(({ code }) => code);
    expect(codes('cored')).toContain('setup.first-arc.fume-cored');
    expect(codes('pulse')).not.toContain('setup.first-arc.fume-cored');
    expect(codes('cored')).toHaveLength(codes('pulse').length);
  });
});

describe('set-up and the check before the arc', () => {
  it('never disagree: nothing to change is never said beside a line that does not agree', () => {
    const programs = scenarios.flatMap(({ input }) => {
      const plan = planSeam(input);
      return plan.ok ? [programFromPlan(input, plan.value)] : [];
    });
    const machines = [rowan, hazel, alder];
    const states = machines.flatMap((machine) => [
      unknownState(machine),
      ...programs.map((program) => setUpFor(machine, unknownState(machine), program)),
    ]);
    let quiet = 0;
    for (const machine of machines)
      for (const state of states)
        for (const program of programs) {
          // What it cannot weld at all is refused before any set-up.
          if (whyNot(machine, program) !== null) continue;
          const { steps } = changeover(machine, state, program);
          const { rows } = checkLoaded(machine, state, program);
          if (steps.length > 0) continue;
          quiet += 1;
          expect({ machine: machine.name, off: rows.filter(({ agrees }) => !agrees).map(({ what }) => what) }).toEqual({
            machine: machine.name,
            off: [],
          });
        }
    expect(quiet).toBeGreaterThan(programs.length / 2);
  });

  it('tell pulse from double pulse: each has its own line', () => {
    const trike = scenarios.find(({ id }) => id === 'trike-lid-seam')!.input;
    const of = (mode: 'pulse' | 'double-pulse') => {
      const input = { ...trike, mode };
      const plan = planSeam(input);
      if (!plan.ok) throw new Error('no plan');
      return programFromPlan(input, plan.value);
    };
    for (const machine of [rowan, alder]) {
      const state = setUpFor(machine, unknownState(machine), of('pulse'));
      expect(checkLoaded(machine, state, of('pulse')).blocked).toBe(false);
      const off = checkLoaded(machine, state, of('double-pulse')).rows.filter(({ agrees }) => !agrees);
      expect(off.map(({ what }) => what).some((what) => ['chart line', 'mode', 'double pulse'].includes(what))).toBe(
        true,
      );
      expect(changeover(machine, state, of('double-pulse')).steps.map(({ kind }) => kind)).toContain('dials');
    }
  });
});
