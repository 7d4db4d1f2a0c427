/** Reads what a welder types into a number field ("5/32 in", "14 ga", "2,5 mm", "380 ipm", "2+0.5") as a stored metric value. */
import { failure, success, type Outcome } from '../outcome/index.ts';
import { evaluateSum } from './arithmetic.ts';
import { gaugeLimits, gaugeToMm, type GaugedMetal } from './gauges.ts';
import { quantity, type QuantityName, type Unit, type UnitSystem } from './quantities.ts';

export interface ParseContext {
  /** Unit meant when none is typed. */
  readonly system: UnitSystem;
  /** Which gauge table "14 ga" reads from. */
  readonly metal?: GaugedMetal | undefined;
  /** The field's name, for messages. */
  readonly name?: string;
  readonly path?: string;
}

/**
 * Stored value (mm, m/min, mm/min, L/min ...) of typed text.
 * Issues: `empty`, `not-a-number`, `unknown-unit`, `unknown-gauge`.
 */
export function parseQuantity(text: string, name: QuantityName, context: ParseContext): Outcome<number> {
  const spec = quantity(name);
  const path = context.path ?? '';
  const label = context.name ?? 'This field';
  const trimmed = text.trim();
  if (trimmed === '') {
    return failure({ path, code: 'empty', message: `${label} is empty; type a number.`, got: text });
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
      message: `${label}: the unit "${unitText}" is not known here; use ${known.join(', ')}${spec.gauged ? ' or a gauge such as 14 ga' : ''}.`,
      limit: known,
      got: text,
    });
  }
  if (/(?<!\d)[1-9]\d{0,2},\d{3}(?!\d)/.test(numberText)) {
    return failure({
      path,
      code: 'ambiguous-comma',
      message: `${label}: "${trimmed}" could mean thousands or thousandths.`,
      got: text,
      hint: 'Leave the comma out for thousands; use a point, or fewer digits, for a decimal.',
    });
  }
  const value = evaluateSum(numberText);
  if (value === undefined) {
    return failure({
      path,
      code: 'not-a-number',
      message: `${label}: "${trimmed}" is not a number or a sum.`,
      got: text,
      hint: `Type for instance 2.5, 2,5, 5/32 in or 2 + 0.5.`,
    });
  }
  return success(value * unit.factor);
}

function parseGauge(gauge: number, context: ParseContext, label: string, path: string): Outcome<number> {
  const metal = context.metal ?? 'steel';
  const thicknessMm = gaugeToMm(metal, gauge);
  if (thicknessMm === undefined) {
    return failure({
      path,
      code: 'unknown-gauge',
      message: `${label}: gauge ${gauge} is outside the ${metal} table, ${gaugeLimits.min} to ${gaugeLimits.max}.`,
      limit: [gaugeLimits.min, gaugeLimits.max],
      got: gauge,
      hint: 'Type the thickness in mm or inches.',
    });
  }
  return success(thicknessMm);
}
