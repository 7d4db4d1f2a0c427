/** One unit of a dial: never assumed, measured by two beads. */
import { describe, expect, it } from '@jest/globals';
import { wireInGas } from '../../metal/arc/index.ts';
import { planSeam } from '../../setting/plan/index.ts';
import { rowan, scenarios } from '../../scenarios/index.ts';
import { cardOf, missingOf, readDials } from '../dials/index.ts';
import { programFromPlan } from '../../setting/program/index.ts';
import { unitFromTests } from './index.ts';
import { type Dial, type Machine } from '../description/index.ts';

const steel = wireInGas('steel-solid', 'M21-ArC-18', 1);
const dial = (quantity: 'trimMm' | 'wireFeedMPerMin', change: object = {}): Dial => ({
  id: 'knob',
  label: 'Knob',
  where: 'front',
  unit: '',
  scale: {
    kind: 'linear',
    quantity,
    neutral: 50,
    quantityAtNeutral: 0,
    quantityPerUnit: 1,
    min: 0,
    max: 100,
    step: 1,
    ...change,
  },
});
const plan = planSeam(scenarios[0]!.input);
if (!plan.ok) throw new Error('no plan');
const program = programFromPlan(scenarios[0]!.input, plan.value);

describe('two beads', () => {
  it('measure an arc length dial by the volts: ΔU / E over the dial', () => {
    // 20 units for 2.4 V at 0.636 V/mm of steel in argon-rich gas (physics, section 3).
    const found = unitFromTests(dial('trimMm'), steel, [
      { dialValue: 40, voltageV: 22.2 },
      { dialValue: 60, voltageV: 24.6 },
    ]);
    if (!found.ok) throw new Error('not found');
    expect(found.value.scale.quantityPerUnit).toBeCloseTo(2.4 / steel.eVPerMm / 20, 9);
    expect(found.value.scale.quantityAtNeutral).toBe(0);
  });

  it('measure a feed dial by leg and travel speed, and keep its zero', () => {
    // Fillet z 6 of 1.2 mm wire at 8.5 m/min is 476 mm/min (physics, section 12); a 1.0 mm wire needs 1.44 times the feed.
    const found = unitFromTests(dial('wireFeedMPerMin', { neutral: 0 }), steel, [
      { dialValue: 20, legMm: 3, travelMmPerMin: 476 },
      { dialValue: 80, legMm: 6, travelMmPerMin: 476 },
    ]);
    if (!found.ok) throw new Error('not found');
    expect(found.value.at[1]).toBeCloseTo(8.5 * 1.44, 1);
    // Twice the leg is four times the metal: 20 units a quarter of 80, so the dial starts at nothing.
    expect(found.value.at[1] / found.value.at[0]).toBeCloseTo(4, 9);
    expect(found.value.scale.quantityAtNeutral).toBeCloseTo(0, 6);
  });

  it('are refused by name: alike, at one value, without a reading, or a feed below nothing', () => {
    const codes = (...args: Parameters<typeof unitFromTests>) => {
      const found = unitFromTests(...args);
      return found.ok ? [] : found.issues.map(({ code, path }) => `${path} ${code}`);
    };
    const volts = (low: number, high: number, at = 60) =>
      codes(dial('trimMm'), steel, [
        { dialValue: 40, voltageV: low },
        { dialValue: at, voltageV: high },
      ]);
    expect(volts(24, 24.1)).toEqual(['readings.1.voltageV too-near']);
    expect(volts(22, 24, 40)).toEqual(['readings.1.dialValue same-value']);
    expect(codes(dial('trimMm'), steel, [{ dialValue: 40 }, { dialValue: 60, voltageV: 24 }])).toEqual([
      'readings.0.voltageV missing',
    ]);
    expect(
      codes(dial('wireFeedMPerMin'), steel, [
        { dialValue: 60, legMm: 3, travelMmPerMin: 400 },
        { dialValue: 100, legMm: 6, travelMmPerMin: 400 },
      ]),
    ).toEqual(['readings negative-feed']);
    expect(
      codes({ ...dial('trimMm'), scale: { kind: 'chart-line' } }, steel, [{ dialValue: 1 }, { dialValue: 2 }]),
    ).toEqual(['dial not-measurable']);
  });
});

describe('a unit that nobody measured', () => {
  // Leads as every machine takes for granted and no taught volts, so that the neutral is the wire's own line.
  const withTrim = (change: Partial<Dial>): Machine => ({
    ...rowan,
    circuitMOhm: 15,
    chartLines: rowan.chartLines.map(({ points: _points, ...line }) => line),
    dials: rowan.dials.map((one) =>
      one.scale.kind === 'linear' && one.scale.quantity === 'trimMm' ? { ...one, ...change } : one,
    ),
  });
  const trimDial = rowan.dials.find(({ scale }) => scale.kind === 'linear' && scale.quantity === 'trimMm')!;

  it('gives the way to turn and no figure on the card, and says so', () => {
    const line = (by: number) =>
      cardOf(withTrim({ unitTested: false }), { ...program, trimMm: by }).dials.find(
        ({ dialId }) => dialId === trimDial.id,
      );
    const neutral = trimDial.scale.kind === 'linear' ? trimDial.scale.neutral : 0;
    expect(line(2)).toMatchObject({ turn: 'up', value: neutral });
    expect(line(-2)).toMatchObject({ turn: 'down', value: neutral });
    expect(line(0)).toMatchObject({ turn: 'stay', display: String(neutral) });
    expect(line(2)?.reachedQuantity).toBeUndefined();
    const codes = cardOf(withTrim({ unitTested: false }), { ...program, trimMm: 2 }).warnings.map(({ code }) => code);
    expect(codes).toContain('unit-not-measured');
    expect(cardOf(withTrim({}), { ...program, trimMm: 2 }).warnings.map(({ code }) => code)).not.toContain(
      'unit-not-measured',
    );
  });

  it('says no figure when it is read back', () => {
    const dials = Object.fromEntries(cardOf(rowan, program).dials.map(({ dialId, value }) => [dialId, value]));
    const read = readDials(withTrim({ unitTested: false }), { ...dials, [trimDial.id]: 90 });
    expect(read.ok && read.value.read.includes('trimMm')).toBe(false);
  });

  it('of the feed leaves the machine out of the plan: what cannot be told is not planned', () => {
    const untold = {
      ...rowan,
      dials: rowan.dials.map((one) =>
        one.scale.kind === 'linear' && one.scale.quantity === 'wireFeedMPerMin' ? { ...one, unitTested: false } : one,
      ),
    };
    expect(missingOf(untold)).toEqual(['no-feed-dial']);
    expect(missingOf(rowan)).toEqual([]);
  });
});
