/** A because-line is a sum that a reader can check: its printed terms, put together as they stand, give the figure it explains. */
import { inEnglish } from '@fox-tempo/words/english';
import { wordsIn } from '@fox-tempo/words';
import { describe, expect, it } from '@jest/globals';
import { amount } from '../../base/messages/index.ts';
import { scenarios } from '../../scenarios/index.ts';
import { figureKinds, planSeam, standardSite, type Plan, type PlanInput } from './index.ts';

/** Words and units taken out, signs written as a machine reads them; only digits, signs and brackets may be left. */
function sumOf(sentence: string): number {
  const terms = sentence
    .replaceAll('²', '**2')
    .replaceAll('−', '-')
    .replaceAll('×', '*')
    .replaceAll('^', '**')

    .replaceAll(/\((?:CO₂|helium|root|going up|fluid wire)\)/g, '')
    .replaceAll(/CO₂/g, '')
    .replaceAll(/mm(?:\*\*2|\/min)?|L\/min|mΩ|\b(?:V|A|W|kg\/m³)\b|²/g, '');
  const plain = terms.replaceAll(/[A-Za-z'’,]+/g, '').replaceAll(/\s+/g, '');
  const [value, rest] = added(plain);
  if (rest !== '') throw new Error(`not a sum: ${sentence} -> ${plain}`);
  return value;
}

/** A sum of products read from the left: its value and what is left of the text. */
function added(text: string): [number, string] {
  let [value, rest] = multiplied(text);
  for (let sign = rest[0]; sign === '+' || sign === '-'; sign = rest[0]) {
    const [next, after] = multiplied(rest.slice(1));
    value += sign === '+' ? next : -next;
    rest = after;
  }
  return [value, rest];
}

function multiplied(text: string): [number, string] {
  let [value, rest] = raised(text);
  // Brackets side by side multiply too.
  for (let sign = rest[0]; (sign === '*' && rest[1] !== '*') || sign === '/' || sign === '('; sign = rest[0]) {
    const [next, after] = raised(sign === '(' ? rest : rest.slice(1));
    value = sign === '/' ? value / next : value * next;
    rest = after;
  }
  return [value, rest];
}

function raised(text: string): [number, string] {
  const [value, rest] = single(text);
  if (!rest.startsWith('**')) return [value, rest];
  const [power, after] = single(rest.slice(2));
  return [value ** power, after];
}

function single(text: string): [number, string] {
  if (text.startsWith('√')) {
    const [value, rest] = single(text.slice(1));
    return [Math.sqrt(value), rest];
  }
  if (text.startsWith('(')) {
    const [value, rest] = added(text.slice(1));
    if (!rest.startsWith(')')) throw new Error(`an open bracket: ${text}`);
    return [value, rest.slice(1)];
  }
  const [figure = ''] = /^-?[\d.]+/.exec(text) ?? [];
  if (figure === '') throw new Error(`no figure: ${text}`);
  return [Number(figure), text.slice(figure.length)];
}

const dipIn = (gas: string, diameterMm: number): PlanInput => ({
  seam: { materialGroup: 'steel', thicknessesMm: [3, 3], joint: 'tee', position: 'PB', gapMm: 0, lengthMm: 200 },
  arcHabit: 'by-joint',
  filler: 'steel-solid',
  gas,
  diameterMm,
  mode: 'dip',
  site: standardSite,
});
const inputs: readonly (readonly [string, PlanInput])[] = [
  ...scenarios.map(({ id, input }) => [id, input] as const),
  ...['M21-ArC-18', 'C1'].flatMap((gas) => [0.8, 1, 1.2].map((d) => [`dip ${gas} ${d}`, dipIn(gas, d)] as const)),
  ...[1.2, 1.6].map(
    (diameterMm) =>
      [
        `spray ${diameterMm}`,
        {
          ...dipIn('M21-ArC-18', diameterMm),
          mode: 'spray',
          seam: { ...dipIn('C1', 1).seam, thicknessesMm: [12, 12] as const },
        },
      ] as readonly [string, PlanInput],
  ),
];
const plans = inputs.flatMap(([name, input]) => {
  const plan = planSeam(input);
  return plan.ok ? [{ name, input, plan: plan.value }] : [];
});
const line = (plan: Plan, key: keyof Plan['because']) => inEnglish(plan.because[key]);

describe('the sum behind a figure', () => {
  it('of the stick-out adds up to the stick-out: dip in CO₂ stands 2 mm further', () => {
    for (const { name, plan } of plans) {
      const [, left = '', right = ''] = /^(.*) = ([\d.]+) mm:/.exec(line(plan, 'ctwdMm')) ?? [];
      const [free = '', held] = left.split(/, held at /);
      const more = / \+ ([\d.]+) mm in /.exec(left)?.[1] ?? '0';
      const base = held === undefined ? sumOf(free.replace(/ \+ [\d.]+ mm in .*/, '')) : Number.parseFloat(held);
      // Shown to the half millimetre.
      expect({ name, off: Math.abs(base + Number(more) - plan.ctwdMm) <= 0.25 }).toEqual({ name, off: true });
      expect(Number(right)).toBeCloseTo(plan.ctwdMm, 1);
    }
    const co2 = plans.find(({ name }) => name === 'dip C1 1')?.plan;
    expect(co2?.ctwdMm).toBe(14);
    expect(co2 && line(co2, 'ctwdMm')).toContain('+ 2 mm in CO₂ = 14');
  });

  it('of the gas flow, the volts of dip and the volts at the machine add up', () => {
    for (const { name, input, plan } of plans) {
      const flow = line(plan, 'gasFlowLPerMin');
      if (plan.gasFlowLPerMin > 0) {
        const more = / \+ ([\d.]+) L\/min in /.exec(flow)?.[1] ?? '0';
        const sum = sumOf((flow.split(' = ')[0] ?? '').replace(/ \+ [\d.]+ L\/min in .*/, '')) + Number(more);
        // Rounded to whole litres.
        expect({ name, near: Math.abs(sum - plan.gasFlowLPerMin) <= 0.5 }).toEqual({ name, near: true });
      }
      if (input.mode === 'dip') {
        const volts = sumOf(line(plan, 'voltageV').split(';')[0] ?? '');
        // Amperes are shown whole: half of one is 0.02 V.
        expect(Math.abs(volts - plan.voltageV)).toBeLessThan(0.06);
      }
      const [, tip = '', amps = '', leads = ''] =
        /^([\d.]+) V .*\+ ([\d.]+) A × ([\d.]+) mΩ/.exec(line(plan, 'machineVoltageV')) ?? [];
      expect(Math.abs(Number(tip) + (Number(amps) * Number(leads)) / 1000 - plan.machineVoltageV)).toBeLessThan(0.07);
    }
  });

  it('of a leg nobody asked for gives the leg, with the factors that were used', () => {
    let seen = 0;
    for (const { input, plan } of plans) {
      const [, wish = '', leg = ''] = /^(.*) = ([\d.]+) mm is usual/.exec(line(plan, 'legMm')) ?? [];
      if (wish === '') continue;
      seen += 1;
      // Shown to the tenth.
      expect(Math.abs(sumOf(wish) - Number(leg))).toBeLessThan(0.06);
      expect(input.seam.legMm).toBeUndefined();
    }
    expect(seen).toBeGreaterThan(3);
  });

  it('of a bead gives its leg by the convexity that the area has', () => {
    for (const { plan, input } of plans) {
      if (plan.legMm === null || input.seam.gapMm > 0) continue;
      const sum = sumOf((line(plan, 'legMm').split('; ')[1] ?? '').trim());
      expect(Math.abs(sum - plan.legMm)).toBeLessThan(0.03);
    }
  });

  it.each([
    ['travelMmPerMin', / × 1000 \/ [\d.]+ mm²/, 0.01],
    ['arcSeconds', / × 60/, 0.01],
    ['wireGrams', / × [\d.]+ kg\/m³ \/ 1000/, 0.02],
    ['gasLitres', /\) \/ 60/, 0.02],
    ['depositionKgPerH', / × 60 \/ 1000000/, 0.01],
  ] as const)('of %s gives it from what is printed, to its rounding, in both systems', async (key, shape, share) => {
    const us = await wordsIn('en', 'us');
    const metric = await wordsIn('en', 'metric');
    for (const { name, plan } of plans) {
      const said = line(plan, key);
      expect(said).toMatch(shape);
      const terms = said
        .replaceAll(/;.*|: arc time.*/g, '')
        .replaceAll('passes', '')
        .replaceAll('pass', '')
        .replaceAll('yield', '')
        .replaceAll('(root)', '')
        .replaceAll('kg/m³', '')
        .replaceAll('m/min', '')
        .replaceAll(/(?<=[\d.]) s\b/g, '');
      const value = plan[key];
      expect({ name, key, near: Math.abs(sumOf(terms) / value - 1) < share, terms }).toMatchObject({ near: true });
      // In US units the same sum stands, and its result beside it.
      const inUs = us.format(plan.because[key] ?? '');
      const result = us.format(amount(figureKinds[key], value));
      const isSame = result === metric.format(amount(figureKinds[key], value));
      expect(inUs).toBe(isSame ? said : `${said} (in metric units); in US units ${result}`);
    }
  });

  it('of the heat is true power over travel', () => {
    for (const { plan } of plans) {
      const sum = sumOf(line(plan, 'heatInputKjPerMm'));
      expect(Math.abs(sum / plan.heatInputKjPerMm - 1)).toBeLessThan(0.005);
    }
  });
});
