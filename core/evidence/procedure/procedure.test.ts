import { describe, expect, it } from '@jest/globals';
import { inEnglish } from '@fox-tempo/words/english';
import { fillerOf } from '../../metal/consumables/index.ts';
import { programFromPlan } from '../../setting/program/index.ts';
import { translate } from '../../machine/dials/index.ts';
import { planSeam, type PlanInput, standardSite } from '../../setting/plan/index.ts';
import { rowan } from '../../scenarios/index.ts';
import type { Window } from '../window/index.ts';
import { outsideProcedure, procedureSheet, processNumber } from './index.ts';

const input: PlanInput = {
  seam: {
    materialGroup: 'steel',
    thicknessesMm: [2.5, 5],
    joint: 'tee',
    position: 'PB',
    gapMm: 0,
    legMm: 3.5,
    lengthMm: 200,
  },
  arcHabit: 'by-joint',
  site: standardSite,
  filler: 'steel-solid',
  gas: 'M21-ArC-18',
  diameterMm: 1,
  mode: 'pulse',
};
function made(change: Partial<PlanInput> = {}) {
  const asked = { ...input, ...change };
  const plan = planSeam(asked);
  if (!plan.ok) throw new Error(JSON.stringify(plan.issues));
  return { seam: asked.seam, plan: plan.value, program: programFromPlan(asked, plan.value) };
}
const rowsOf = (sections: ReturnType<typeof procedureSheet>) =>
  new Map(
    sections.flatMap(({ rows }) =>
      rows.map(({ label, value, range }) => [
        inEnglish(label),
        [inEnglish(value), range === null ? null : inEnglish(range)] as const,
      ]),
    ),
  );

describe('the number of a process', () => {
  // Source: ISO 4063, reference numbers of arc welding with wire.
  it.each([
    ['steel-solid', 'M21-ArC-18', '135'],
    ['aluminium-5356', 'I1', '131'],
    ['stainless-316l', 'M12-ArC-2', '135'],
    ['steel-flux-cored', 'C1', '136'],
    ['steel-metal-cored', 'M21-ArC-18', '138'],
    ['steel-self-shielded', 'none', '114'],
    ['cusi3', 'I1', '973'],
  ] as const)('%s under %s is %s', (filler, gas, number) => {
    expect(processNumber(fillerOf(filler), gas)).toBe(number);
  });
});

describe('a procedure sheet', () => {
  it('without a window says every figure and no range of a figure', () => {
    const rows = rowsOf(procedureSheet(made()));
    expect(rows.get('Process')).toEqual(['ISO 4063: 135, pulse', null]);
    expect(rows.get('Joint and weld')?.[0]).toContain('fillet weld (FW)');
    expect(rows.get('Gas')?.[0]).toContain('M21-ArC-18');
    for (const figure of ['Wire feed speed', 'Mean current', 'Travel speed', 'Heat input (k = 0.8)'])
      expect([figure, rows.get(figure)?.[1]]).toEqual([figure, null]);
  });

  it('with a window holds its own figure inside every range', () => {
    const setting = made();
    const { wireFeedMPerMin: feed, trimMm } = setting.program;
    const window: Window = { wireFeedMPerMin: [feed * 0.95, feed * 1.05], trimMm: [trimMm - 0.5, trimMm + 0.5] };
    const rows = rowsOf(procedureSheet({ ...setting, window }));
    for (const figure of [
      'Wire feed speed',
      'Mean current',
      'Voltage at the tip',
      'Travel speed',
      'Heat input (k = 0.8)',
    ]) {
      const [value, range] = rows.get(figure) ?? [];
      const [low = NaN, high = NaN] = (range ?? '').match(/\d+(\.\d+)?/g)?.map(Number) ?? [];
      const own = Number.parseFloat(value ?? '');
      expect([figure, low < own && own < high]).toEqual([figure, true]);
    }
  });

  it('carries heat input with power and pace: 5 % feed and 12 % pace give a wider range than either alone', () => {
    const setting = made();
    const { wireFeedMPerMin: feed } = setting.program;
    const heat = (share: number) => {
      const window: Window = { wireFeedMPerMin: [feed * (1 - share), feed * (1 + share)] };
      const range = rowsOf(procedureSheet({ ...setting, window })).get('Heat input (k = 0.8)')?.[1] ?? '';
      const [low = NaN, high = NaN] = range.match(/\d+(\.\d+)?/g)?.map(Number) ?? [];
      return high / low;
    };
    // Pace alone: 1.12 / 0.88; the figures are rounded to hundredths.
    expect(heat(0)).toBeCloseTo(1.12 / 0.88, 1);
    expect(heat(0.08)).toBeGreaterThan(heat(0) + 0.1);
  });

  it('asks for brush and degreaser on aluminium, and leaves the edge preparation out of a fillet', () => {
    const rows = rowsOf(
      procedureSheet(
        made({
          seam: { ...input.seam, materialGroup: 'aluminium', thicknessesMm: [3, 3], legMm: 4 },
          filler: 'aluminium-5356',
          gas: 'I1',
          diameterMm: 1.2,
        }),
      ),
    );
    expect(rows.get('Surface')?.[0]).toContain('degreased');
    expect(rows.has('Edge preparation')).toBe(false);
  });
});

describe('a trial outside the procedure', () => {
  const { program } = made();
  const feed = program.wireFeedMPerMin;
  const window: Window = {
    wireFeedMPerMin: [feed * 0.95, feed * 1.05],
    trimMm: [program.trimMm - 0.5, program.trimMm + 0.5],
  };
  const card = Object.fromEntries(translate(rowan, program).dials.map(({ dialId, value }) => [dialId, value]));
  const inside = { machine: rowan, window };

  it('is none while everything agrees', () => {
    expect(
      outsideProcedure(program, 20, { dials: card, travelMmPerMin: program.travelMmPerMin, plateC: 18 }, inside),
    ).toEqual([]);
  });

  it('names wire, gas, cold plate, dial, pace and stick-out, each by its own figure', () => {
    const feedDial = translate(rowan, program).dials.find(({ quantity }) => quantity === 'wireFeedMPerMin');
    if (!feedDial) throw new Error('no dial of feed');
    const words = outsideProcedure(
      program,
      120,
      {
        loaded: { filler: 'steel-solid', gas: 'C1', diameterMm: 1.2 },
        dials: { ...card, [feedDial.dialId]: feedDial.value * 1.3 },
        travelMmPerMin: program.travelMmPerMin * 0.7,
        ctwdMm: program.ctwdMm + 6,
        plateC: 60,
      },
      inside,
    ).map(inEnglish);
    expect(words).toHaveLength(6);
    expect(words.join(' ')).toContain('1.2 mm');
    expect(words.join(' ')).toContain('120 °C');
    expect(words.join(' ')).toContain(feedDial.label);
  });

  it('judges no dial and no pace where no window was written', () => {
    expect(outsideProcedure(program, 20, { dials: {}, travelMmPerMin: program.travelMmPerMin * 0.5 })).toEqual([]);
  });
});
