/** Whether a translation says the same values as its English: what is checked before a text is taken from a reader. */
import { IntlMessageFormat } from 'intl-messageformat';
import type { Language } from './languages.ts';

export type PatternTrouble =
  | { readonly code: 'unreadable'; readonly why: string }
  | { readonly code: 'values'; readonly missing: readonly string[]; readonly unknown: readonly string[] }
  | { readonly code: 'plural'; readonly missing: readonly string[] };

interface Element {
  readonly type: number;
  readonly value?: unknown;
  readonly pluralType?: string;
  readonly options?: Readonly<Record<string, { readonly value: readonly Element[] }>>;
}

/** Null where `text` can stand for `english` in `language`. */
export function patternTrouble(english: string, text: string, language: Language): PatternTrouble | null {
  let elements: readonly Element[];
  try {
    elements = elementsOf(text, language);
  } catch (error) {
    return { code: 'unreadable', why: error instanceof Error ? error.message : String(error) };
  }
  const wanted = valuesIn(elementsOf(english, 'en'));
  const given = valuesIn(elements);
  const missing = [...wanted].filter((name) => !given.has(name));
  const unknown = [...given].filter((name) => !wanted.has(name));
  if (missing.length > 0 || unknown.length > 0) return { code: 'values', missing, unknown };
  const forms = new Intl.PluralRules(language).resolvedOptions().pluralCategories;
  const without = pluralsIn(elements).flatMap((options) => forms.filter((form) => !options.includes(form)));
  return without.length > 0 ? { code: 'plural', missing: [...new Set(without)] } : null;
}

function elementsOf(pattern: string, language: Language): readonly Element[] {
  return new IntlMessageFormat(pattern, language, undefined, { ignoreTag: true }).getAst();
}

/** Names of the values of a message: an argument has type 1, a number 2, a select 5, a plural 6. */
function valuesIn(elements: readonly Element[], found = new Set<string>()): Set<string> {
  for (const { type, value, options } of elements) {
    if (type !== 0 && typeof value === 'string') found.add(value);
    for (const option of Object.values(options ?? {})) valuesIn(option.value, found);
  }
  return found;
}

function pluralsIn(elements: readonly Element[]): string[][] {
  return elements.flatMap(({ options, pluralType }) => [
    ...(pluralType === undefined ? [] : [Object.keys(options ?? {})]),
    ...Object.values(options ?? {}).flatMap((option) => pluralsIn(option.value)),
  ]);
}
