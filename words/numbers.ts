/** Says a number and a quantity: value, unit, digits and sign by system of units and language. The only place where a shown number is rounded. */
import type { Amount } from '@fox-tempo/core/base/messages';
import { quantity, type QuantityName, type UnitSystem } from '@fox-tempo/core/base/units';
import { written as writtenIn, type Language } from './languages.ts';

export interface Shown {
  /** Rounded digits with a true minus sign. */
  readonly text: string;
  readonly unit: string;
}

export interface Saying {
  readonly language: Language;
  readonly system: UnitSystem;
}

/** Sixteenths that the trade reads off a rule: within a sixty-fourth, and not off by more than 3 %; else the decimal is the truth. */
const sixteenthWithinIn = 1 / 64;
const sixteenthWithinShare = 0.03;

/** `value` in stored units; a value that is not finite is shown as a dash. */
export function showQuantity(value: number, name: QuantityName, saying: Saying, digits?: number): Shown {
  const spec = quantity(name);
  const unit = spec[saying.system];
  if (!Number.isFinite(value)) return { text: '–', unit: unit.label };
  const inUnit = (value - (unit.offset ?? 0)) / unit.factor;
  if (saying.system === 'us' && spec.fractional && unit.label === 'in') {
    const fraction = sixteenths(inUnit);
    if (fraction !== undefined) return { text: fraction, unit: unit.label };
  }
  const isStored = unit.factor === spec.metric.factor && unit.label === spec.metric.label;
  return {
    text: written(inUnit, saying.language, (isStored ? digits : undefined) ?? unit.digits),
    unit: unit.label,
  };
}

/** Number and unit in one string, for sentences. */
export function sayQuantity(value: number, name: QuantityName, saying: Saying, digits?: number): string {
  return glued(showQuantity(value, name, saying, digits), saying.language);
}

/** An amount of the core: with as many digits as were given where it names none. */
export function sayAmount({ kind, value, digits, bare, signed }: Amount, saying: Saying): string {
  if (signed) return withSign(sayAmount({ kind, value, ...(digits === undefined ? {} : { digits }) }, saying));
  const unit = quantity(kind)[saying.system];
  if (bare)
    return sayAmount({ kind, value, ...(digits === undefined ? {} : { digits }) }, saying).replace(
      tail(unit.label),
      '',
    );
  const isStored = unit.factor === 1 && unit.offset === undefined;
  if (digits !== undefined || !isStored || !Number.isFinite(value)) return sayQuantity(value, kind, saying, digits);
  return glued({ text: sayNumber(value, saying.language), unit: unit.label }, saying.language);
}

/** A bare number with up to six digits after the point, none of them idle. */
export function sayNumber(value: number, language: Language): string {
  if (!Number.isFinite(value)) return String(value);
  return written(value, language);
}

/** A number with its digits fixed, for figures that stand in columns. */
export function sayFixed(value: number, digits: number, language: Language): string {
  return Number.isFinite(value) ? written(value, language, digits) : '–';
}

/** Text for an input field: as short as it can be without losing what was stored to the digits that matter. */
export function formatForInput(value: number, name: QuantityName, saying: Saying): string {
  const unit = quantity(name)[saying.system];
  const digits = unit.digits + (saying.system === 'metric' ? 2 : 1);
  const text = String(Number(((value - (unit.offset ?? 0)) / unit.factor).toFixed(digits)));
  return text.replace('.', decimalMark(saying.language));
}

/** What stands between whole and part of a number, as a reader types it. */
function decimalMark(language: Language): string {
  return (
    writer(language, 1)
      .formatToParts(0.5)
      .find(({ type }) => type === 'decimal')?.value ?? '.'
  );
}

/** The unit at the end with the space before it. */
function tail(unit: string): string | RegExp {
  return unit === '' ? '' : new RegExp(`[ \\u00a0]?${unit.replaceAll(/[/()]/g, '\\$&')}$`);
}

/** A plus before what is more than nothing; what rounds to nothing has no sign. */
function withSign(text: string): string {
  return /^[−–]/.test(text) || !/[1-9]/.test(text) ? text : `+${text}`;
}

function glued({ text, unit }: Shown, language: Language): string {
  if (unit === '') return text;
  return unit === '°' ? `${text}°` : `${text}${writtenIn[language].unitSpace}${unit}`;
}

/** `digits` after the point, or as many as there are up to six. Five digits and more are grouped, as each language does. */
function written(value: number, language: Language, digits?: number): string {
  const text = writer(language, digits).format(value);
  // "-0.0" is no number a welder should read.
  return /[1-9]/.test(text) ? text.replace(/^[-−]/, '−') : text.replace(/^[-−]/, '');
}

const writers = new Map<string, Intl.NumberFormat>();

function writer(language: Language, digits: number | undefined): Intl.NumberFormat {
  const key = `${language} ${digits ?? ''}`;
  const known = writers.get(key);
  if (known) return known;
  const made = new Intl.NumberFormat(writtenIn[language].locale, {
    minimumFractionDigits: digits ?? 0,
    maximumFractionDigits: digits ?? 6,
    useGrouping: 'min2',
  });
  writers.set(key, made);
  return made;
}

function sixteenths(inches: number): string | undefined {
  const whole = Math.round(inches * 16);
  if (whole < 1 || Math.abs(inches - whole / 16) > Math.min(sixteenthWithinIn, sixteenthWithinShare * inches))
    return undefined;
  let [top, bottom] = [whole % 16, 16];
  while (top > 0 && top % 2 === 0) [top, bottom] = [top / 2, bottom / 2];
  const full = Math.floor(whole / 16);
  if (top === 0) return String(full);
  return full === 0 ? `${top}/${bottom}` : `${full} ${top}/${bottom}`;
}
