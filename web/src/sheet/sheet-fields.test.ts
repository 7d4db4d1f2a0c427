import { standardSite } from '@fox-tempo/core/site';
import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { choice, seam, spec } from '../testing/shop.ts';
import { planOf, sheetOf } from './sheet.ts';
import { numberFields, readNumber, type NumberFieldName } from './sheet-fields.ts';
import { usualGas, usualWire } from './wire-defaults.ts';

/** With edges that are cut, so that every field has somewhere to live. */
const sheet = { spec: { ...spec, preparation: { kind: 'v' as const } }, choice };

describe('number fields of the sheet', () => {
  it.each(Object.keys(numberFields) as NumberFieldName[])('%s writes where it reads', (name) => {
    const field = numberFields[name];
    const written = field.write(sheet, 7);
    expect(field.read(written)).toBe(7);
    // Nothing else moves.
    for (const [other, otherField] of Object.entries(numberFields)) {
      if (other !== name) expect(otherField.read(written)).toEqual(otherField.read(sheet));
    }
  });

  it('take emptiness only where the plan can fill in', () => {
    for (const [name, field] of Object.entries(numberFields) as [
      NumberFieldName,
      (typeof numberFields)[NumberFieldName],
    ][]) {
      const outcome = readNumber(name, '  ', sheet, 'metric');
      expect(outcome.ok).toBe(field.optional);
      if (outcome.ok) expect(outcome.value).toBeNull();
    }
  });

  it('name the field, the limit and the value in a refusal', () => {
    const outcome = readNumber('travel', '5 m', sheet, 'metric');
    expect(inEnglish(outcome.ok ? '' : outcome.issues[0]?.message)).toContain(
      'Your travel speed: the unit "m" is not known here',
    );
    const far = readNumber('length', '90 m', sheet, 'metric');
    expect(far.ok ? undefined : far.issues[0]).toMatchObject({ code: 'out-of-range', limit: [5, 20000], got: 90000 });
  });
});

describe('the sheet', () => {
  it('starts a seam without a setting on the shop’s usual wire for its metal', () => {
    const fresh = sheetOf(seam({ choice: null, revision: null, spec: { ...spec, materialGroup: 'stainless' } }));
    expect(fresh.choice).toMatchObject({ ...usualWire('stainless', ''), wireFeedMPerMin: null });
    expect(planOf(fresh, standardSite).ok).toBe(true);
  });

  it('plans every metal on its usual wire', () => {
    for (const materialGroup of ['steel', 'stainless', 'aluminium', 'galvanised'] as const) {
      const thin = { ...spec, materialGroup, thicknessesMm: [1.5, 1.5] as [number, number], legMm: null };
      expect(planOf({ spec: thin, choice: { ...choice, ...usualWire(materialGroup, '') } }, standardSite).ok).toBe(
        true,
      );
    }
    expect(usualGas('aluminium-4043')).toBe('I1');
    expect(usualGas('steel-solid')).toBe('M21-ArC-18');
  });
});
