/**
 * The words of this page: one language and one system of units for as long as it stands. They are chosen before anything of the interface is
 * loaded, so that every file may say its sentences where it needs them; another language is another page (ADR 0023).
 */
import type { Phrase, SaidValue } from '@fox-tempo/core/base/messages';
import { quantity, type QuantityName, type Unit, type UnitSystem } from '@fox-tempo/core/base/units';
import { formatForInput as textForInput, written, type Shown, type SentenceKey, type Words } from '@fox-tempo/words';

let words: Words | undefined;

/** Sets what the page is said in; once at its start, and again when the units change. */
export function speak(chosen: Words): void {
  words = chosen;
  document.documentElement.lang = chosen.language;
  document.documentElement.dir = written[chosen.language].dir;
}

export function spoken(): Words {
  if (!words) throw new Error('the words are chosen before the first sentence');
  return words;
}

export const t: Words['t'] = (key, ...values) => spoken().t(key, ...values);
export const fixed: Words['fixed'] = (value, digits) => spoken().fixed(value, digits);
export const format = (said: SaidValue): string => spoken().format(said);

type NamedKey = Extract<SentenceKey, `name.${string}`>;
/** Codes that have a name of their own in every language. */
export type Named = NamedKey extends `name.${infer N}` ? N : never;

/** The name of a code: a verdict, a kind, a part of a sequence. */
export function named(code: Named): string {
  return (spoken().t as (key: NamedKey) => string)(`name.${code}` as NamedKey);
}

export function formatQuantity(value: number, name: QuantityName, system: UnitSystem, digits?: number): Shown {
  return spoken().inUnits(system).show(value, name, digits);
}

export function formatWithUnit(value: number, name: QuantityName, system: UnitSystem, digits?: number): string {
  return spoken().inUnits(system).quantity(value, name, digits);
}

/** The unit in which this page shows a kind of quantity: axes and heads of columns need it by itself. */
export function unitShown(name: QuantityName): Unit {
  return quantity(name)[spoken().system];
}

/** A stored figure as this page counts it. */
export function inUnitShown(value: number, name: QuantityName): number {
  const { factor, offset = 0 } = unitShown(name);
  return (value - offset) / factor;
}

/** Nothing stays nothing. */
export function formatIf<N extends null | undefined>(said: SaidValue | N): string | N {
  return said === undefined || said === null ? said : format(said);
}

export function formatForInput(value: number, name: QuantityName, system: UnitSystem): string {
  return textForInput(value, name, { language: spoken().language, system });
}

/** What is wrong, in one line. */
export function saidIssues(issues: readonly { readonly message: Phrase }[]): string {
  return issues.map(({ message }) => format(message)).join(' ');
}
