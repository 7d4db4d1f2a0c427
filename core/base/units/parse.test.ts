import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  evaluateSum,
  formatForInput,
  formatQuantity,
  formatWithUnit,
  gaugeToMm,
  parseQuantity,
  type QuantityName,
} from './index.ts';

const metric = { system: 'metric' } as const;
const us = { system: 'us' } as const;

function read(
  text: string,
  name: QuantityName = 'thickness',
  context: Parameters<typeof parseQuantity>[2] = metric,
): number {
  const parsed = parseQuantity(text, name, context);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.issues.map((issue) => issue.code).join()}`);
  return parsed.value;
}
function code(
  text: string,
  name: QuantityName = 'thickness',
  context: Parameters<typeof parseQuantity>[2] = metric,
): string | undefined {
  const parsed = parseQuantity(text, name, context);
  return parsed.ok ? undefined : parsed.issues[0]?.code;
}

describe('reading what a welder types', () => {
  // 1 in = 25.4 mm exactly.
  it.each([
    ['5/32 in', 3.96875],
    ['5/32"', 3.96875],
    ['1 1/2 in', 38.1],
    ['2,5 mm', 2.5],
    ['2.5', 2.5],
    ['0,8', 0.8],
    ['2 + 0.5', 2.5],
    ['3*0,5', 1.5],
    ['(1+2)/2', 1.5],
    ['.5', 0.5],
    ['2.5MM', 2.5],
  ])('reads %s as %f mm', (text, expected) => {
    expect(read(text)).toBeCloseTo(expected, 9);
  });

  it('takes the unit of the chosen system when none is typed', () => {
    expect(read('0.1', 'thickness', us)).toBeCloseTo(2.54, 9);
    expect(read('380', 'wireFeed', us)).toBeCloseTo(9.652, 9);
    expect(read('380 ipm', 'wireFeed')).toBeCloseTo(9.652, 9);
    expect(read('35 CFH', 'gasFlow')).toBeCloseTo(16.518, 2);
    expect(read('42 cm/min', 'travel')).toBe(420);
  });

  it('reads a gauge from the table of its metal', () => {
    // Manufacturers' Standard Gauge: 14 ga steel 0.0747 in; US Standard for stainless 0.0781 in; American gauge for aluminium 0.0641 in.
    expect(read('14 ga', 'thickness', { ...metric, metal: 'steel' })).toBeCloseTo(1.897, 3);
    expect(read('14ga', 'thickness', { ...metric, metal: 'stainless' })).toBeCloseTo(1.984, 3);
    expect(read('#14 gauge', 'thickness', { ...metric, metal: 'aluminium' })).toBeCloseTo(1.628, 3);
    expect(gaugeToMm('galvanised', 20)).toBeCloseTo(1.006, 3);
    expect(code('2 ga')).toBe('unknown-gauge');
  });

  it('refuses what makes no sense, each with its own code', () => {
    expect(code('')).toBe('empty');
    expect(code('abc')).toBe('unknown-unit');
    expect(code('2 ipm')).toBe('unknown-unit');
    expect(code('2..5')).toBe('not-a-number');
    expect(code('1/0')).toBe('not-a-number');
    expect(code('2 3')).toBe('not-a-number');
    expect(code('(2')).toBe('not-a-number');
  });

  it('does not guess whether a comma means thousands', () => {
    expect(code('1,000')).toBe('ambiguous-comma');
    expect(code('12,500 mm')).toBe('ambiguous-comma');
    expect(read('0,635')).toBe(0.635);
    expect(read('2,54')).toBe(2.54);
  });

  it('asks when both separators stand in one number, with what may be meant', () => {
    expect(code('1.234,5')).toBe('mixed-separators');
    expect(code('1,234.5 mm')).toBe('mixed-separators');
    expect(code('1.234.567')).toBe('mixed-separators');
    const asked = parseQuantity('1.234,5', 'thickness', metric);
    expect(asked).toMatchObject({ issues: [{ hint: { code: 'units.is-it-meant', values: { number: 1234.5 } } }] });
    expect(read('1,5+2.5')).toBe(4);
  });

  it('never throws and never yields NaN, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 40 }), (text) => {
        const parsed = parseQuantity(text, 'thickness', metric);
        expect(!parsed.ok || Number.isFinite(parsed.value)).toBe(true);
      }),
    );
    fc.assert(
      fc.property(fc.string({ unit: fc.constantFrom(...Array.from('0123456789.,+-*/() ')), maxLength: 20 }), (text) => {
        const value = evaluateSum(text);
        expect(value === undefined || Number.isFinite(value)).toBe(true);
      }),
    );
  });

  it('reads back what it shows in a field, in both systems', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.6, max: 25, noNaN: true }),
        fc.constantFrom('metric' as const, 'us' as const),
        (mm, system) => {
          const back = read(formatForInput(mm, 'thickness', system), 'thickness', { system });
          // Shown to 0.001 mm or 0.0001 in.
          expect(Math.abs(back - mm)).toBeLessThan(0.0015);
        },
      ),
    );
  });
});

describe('writing quantities', () => {
  it('rounds to the digits of the unit and keeps a true minus', () => {
    expect(formatQuantity(-1.46, 'shortLength', 'metric')).toEqual({ text: '−1.5', unit: 'mm' });
    expect(formatQuantity(-0.001, 'shortLength', 'metric').text).toBe('0.0');
    expect(formatWithUnit(9.652, 'wireFeed', 'us')).toBe('380 ipm');
    expect(formatWithUnit(1, 'heatInput', 'us')).toBe('25.4 kJ/in');
    expect(formatQuantity(Number.NaN, 'current', 'metric').text).toBe('–');
  });
});
