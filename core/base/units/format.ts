/** Writes a stored metric value in the system the reader wants; the only place where a shown number is rounded. */
import { quantity, type QuantityName, type UnitSystem } from './quantities.ts';

export interface Shown {
  /** Rounded digits with a true minus sign. */
  readonly text: string;
  readonly unit: string;
}

/** `value` in stored units; a value that is not finite is shown as a dash. */
export function formatQuantity(value: number, name: QuantityName, system: UnitSystem, digits?: number): Shown {
  const unit = quantity(name)[system];
  if (!Number.isFinite(value)) return { text: '–', unit: unit.label };
  const fixed = (value / unit.factor).toFixed(digits ?? unit.digits);
  // "-0.0" is no number a welder should read.
  const text = Number(fixed) === 0 ? fixed.replace('-', '') : fixed.replace('-', '−');
  return { text, unit: unit.label };
}

/** Number and unit in one string, for sentences. */
export function formatWithUnit(value: number, name: QuantityName, system: UnitSystem, digits?: number): string {
  const shown = formatQuantity(value, name, system, digits);
  return shown.unit === '' ? shown.text : `${shown.text} ${shown.unit}`;
}

/** Text for an input field: as short as it can be without losing what was stored to the digits that matter. */
export function formatForInput(value: number, name: QuantityName, system: UnitSystem): string {
  const unit = quantity(name)[system];
  return String(Number((value / unit.factor).toFixed(unit.digits + (system === 'metric' ? 2 : 1))));
}
