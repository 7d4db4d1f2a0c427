/** Reads what a welder types into a number field ("5/32 in", "14 ga", "2,5 mm", "380 ipm", "2+0.5") as a stored metric value. */
import { failure, success, type Outcome } from '../outcome/index.ts';
import { type Phrase, message, whether } from '../messages/index.ts';
import { evaluateSum } from './arithmetic.ts';
import { gaugeLimits, gaugeToMm, type GaugedMetal } from './gauges.ts';
import { quantity, type QuantityName, type Unit, type UnitSystem } from './quantities.ts';

export interface ParseContext {
  /** Unit meant when none is typed. */
  readonly system: UnitSystem;
  /** Which gauge table "14 ga" reads from. */
  readonly metal?: GaugedMetal | undefined;
  /** The field's name, for messages. */
  readonly name?: Phrase;
  readonly path?: string;
}

/**
 * Stored value (mm, m/min, mm/min, L/min ...) of typed text.
 * Issues: `empty`, `not-a-number`, `unknown-unit`, `unknown-gauge`, `ambiguous-comma`, `mixed-separators`.
 */
export function parseQuantity(text: string, name: QuantityName, context: ParseContext): Outcome<number> {
  const spec = quantity(name);
  const path = context.path ?? '';
  const label = context.name ?? message('units.this-field');
  const trimmed = text.trim();
  if (trimmed === '') {
    return failure({ path, code: 'empty', message: message('units.is-empty', { label }), got: text });
  }

  if (spec.gauged) {
    const gauge = /^#?\s*(\d{1,2})\s*(?:ga\.?|gauge|swg)$/i.exec(trimmed);
    if (gauge) return parseGauge(Number(gauge[1]), context, label, path);
  }

  const units: readonly Unit[] = [spec[context.system], spec.metric, spec.us, ...(spec.also ?? [])];
  // The number part may hold digits, signs, brackets; the unit starts at the first letter or inch/foot mark.
  const split = /^([^a-zµ"'°]*)(.*)$/iu.exec(trimmed);
  const numberText = split?.[1] ?? '';
  const unitText = (split?.[2] ?? '').toLowerCase().replace(/\s+/g, '').replace('²', '2').replace('³', '3');
  const unit = unitText === '' ? spec[context.system] : units.find((candidate) => candidate.aliases.includes(unitText));
  if (!unit) {
    const known = [...new Set(units.map((candidate) => candidate.label))];
    return failure({
      path,
      code: 'unknown-unit',
      message: message('units.unit-not-known', {
        label,
        unit: unitText,
        known,
        gauge: whether(spec.gauged === true),
      }),
      limit: known,
      got: text,
    });
  }
  const several = /\d+(?:[.,]\d+){2,}/.exec(numberText)?.[0];
  if (several !== undefined) {
    return failure({
      path,
      code: 'mixed-separators',
      message: message('units.mixes-separators', { label, text: trimmed }),
      got: text,
      hint: message('units.is-it-meant', { number: withoutThousands(several) }),
    });
  }
  if (/(?<!\d)[1-9]\d{0,2},\d{3}(?!\d)/.test(numberText)) {
    return failure({
      path,
      code: 'ambiguous-comma',
      message: message('units.could-mean-thousands', { label, text: trimmed }),
      got: text,
      hint: message('units.error.thousands-separator'),
    });
  }
  const value = evaluateSum(numberText);
  if (value === undefined) {
    return failure({
      path,
      code: 'not-a-number',
      message: message('units.error.not-a-number', { label, text: trimmed }),
      got: text,
      hint: message('units.type-for-instance'),
    });
  }
  return success(value * unit.factor + (unit.offset ?? 0));
}

/** "1.234,5" read as somebody means it who separates thousands: the last mark stands before the decimals where it differs from the first. */
function withoutThousands(digits: string): number {
  const marks = digits.replace(/\d/g, '');
  const last = digits.lastIndexOf(marks.at(-1) ?? '');
  if (marks[0] === marks.at(-1)) return Number(digits.replace(/\D/g, ''));
  return Number(`${digits.slice(0, last).replace(/\D/g, '')}.${digits.slice(last + 1)}`);
}

function parseGauge(gauge: number, context: ParseContext, label: Phrase, path: string): Outcome<number> {
  const metal = context.metal ?? 'steel';
  const thicknessMm = gaugeToMm(metal, gauge);
  if (thicknessMm === undefined) {
    return failure({
      path,
      code: 'unknown-gauge',
      message: message('units.gauge-is-outside', { label, gauge, min: gaugeLimits.min, max: gaugeLimits.max }),
      limit: [gaugeLimits.min, gaugeLimits.max],
      got: gauge,
      hint: message('units.type-the-thickness'),
    });
  }
  return success(thicknessMm);
}
