/** A catalogue with a language and a system of units: turns codes and quantities into sentences. */
import { codes, isSaid, type Phrase, type Said, type SaidValue } from '@fox-tempo/core/base/messages';
import type { QuantityName, UnitSystem } from '@fox-tempo/core/base/units';
import { IntlMessageFormat } from 'intl-messageformat';
import { american, americanMessage } from './american.ts';
import type { Sentences } from './keys.ts';
import { written, type Language } from './languages.ts';
import { sayAmount, sayFixed, sayNumber, sayQuantity, showQuantity, type Saying, type Shown } from './numbers.ts';

export type Catalogue = Readonly<Record<keyof Sentences, string>>;
export type SentenceKey = keyof Sentences;
export type ValuesOf<K extends SentenceKey> = Sentences[K] extends null ? [] : [Sentences[K]];

export interface Words {
  readonly language: Language;
  readonly system: UnitSystem;
  /** The sentence of a key. */
  readonly t: <K extends SentenceKey>(key: K, ...values: ValuesOf<K>) => string;
  /** What the core said; a name is passed on. */
  readonly format: (said: SaidValue) => string;
  /** The English of a hazard that nobody of the shop has read in this language yet; else nothing. */
  readonly beside: (said: SaidValue) => string | undefined;
  readonly show: (value: number, name: QuantityName, digits?: number) => Shown;
  readonly quantity: (value: number, name: QuantityName, digits?: number) => string;
  readonly number: (value: number) => string;
  /** A number with its digits fixed. */
  readonly fixed: (value: number, digits: number) => string;
  /** The same words in another system of units. */
  readonly inUnits: (system: UnitSystem) => Words;
  /** Keys asked for that the catalogue lacks, with how often. */
  readonly missing: ReadonlyMap<string, number>;
}

/** A sentence kept for later, in whatever language it will be read. */
export function message<K extends SentenceKey>(code: K, ...[values]: ValuesOf<K>): Said {
  return { code, values: values ?? {} };
}

/** A sentence that keeps somebody from being hurt, as `hazard` of the core. */
export function hazard<K extends SentenceKey>(code: K, ...values: ValuesOf<K>): Said {
  return message(code, ...values);
}

/**
 * `spare` says in English what `catalogue` lacks: an older page beside a newer server. `hazards` is the English of hazards that nobody has
 * read in this language. `former`: today's names of keys that stand in records of older versions.
 */
export function makeWords(
  catalogue: Readonly<Record<string, string>>,
  language: Language,
  system: UnitSystem,
  {
    spare = catalogue,
    hazards = {},
    former = {},
  }: {
    readonly spare?: Readonly<Record<string, string>>;
    readonly hazards?: Readonly<Record<string, string>>;
    readonly former?: Readonly<Record<string, string>>;
  } = {},
): Words {
  const saying: Saying = { language, system };
  const compiled = new Map<string, (values: Readonly<Record<string, SaidValue>>) => string>();
  const missing = new Map<string, number>();

  function sentence(key: string, values: Readonly<Record<string, SaidValue>> | undefined): string {
    let format = compiled.get(key);
    if (!format) {
      const now = Object.hasOwn(catalogue, key) || !Object.hasOwn(former, key) ? key : (former[key] ?? key);
      const own = Object.hasOwn(catalogue, now) ? catalogue[now] : undefined;
      if (own === undefined) missing.set(key, (missing.get(key) ?? 0) + 1);
      const pattern = own ?? (Object.hasOwn(spare, key) ? spare[key] : undefined);
      // Never the key: somebody at the bench can do nothing with it.
      if (pattern === undefined) return '…';
      format = compile(pattern);
      if (own !== undefined) compiled.set(key, format);
    }
    return format(values ?? {});
  }

  function compile(pattern: string): (values: Readonly<Record<string, SaidValue>>) => string {
    const isAmerican = language === 'en' && system === 'us';
    if (!/[{'#<]/.test(pattern)) {
      const text = isAmerican ? american(pattern) : pattern;
      return () => text;
    }
    const read = new IntlMessageFormat(pattern, language, undefined, { ignoreTag: true });
    const message = isAmerican ? new IntlMessageFormat(americanMessage(read.getAst()), language) : read;
    const counts = countNames(message.getAst());
    return (values) => {
      const said: Record<string, string | number> = {};
      for (const [name, value] of Object.entries(values)) {
        said[name] = counts.has(name) && typeof value === 'number' ? value : sayValue(value);
      }
      return String(message.format(said));
    };
  }

  function sayValue(value: SaidValue): string {
    if (typeof value === 'string') return value;
    if (typeof value === 'number') return sayNumber(value, language);
    if (isRow(value)) return value.map(sayValue).join(', ');
    return isSaid(value) ? format(value) : sayAmount(value, saying);
  }

  function format(said: Phrase): string {
    if (typeof said === 'string') return said;
    const { code, values } = said;
    if (code === codes.inSentence) return small(sayValue(values['name'] ?? ''), language);
    if (code === codes.joined) {
      const parts = values['parts'] ?? [];
      return (isRow(parts) ? parts : [parts]).map(sayValue).join(sayValue(values['between'] ?? ''));
    }
    if (code === codes.oneOf || code === codes.allOf) {
      const parts = values['parts'] ?? [];
      const type = code === codes.oneOf ? 'disjunction' : 'conjunction';
      return new Intl.ListFormat(written[language].locale, { type }).format(
        (isRow(parts) ? parts : [parts]).map(sayValue),
      );
    }
    if (code === codes.sum) return calculation(values['sum'] ?? '', values['result']);
    return sentence(code, values);
  }

  function calculation(sum: SaidValue, result: SaidValue | undefined): string {
    if (system === 'metric') return sayValue(sum);
    const metric = words(language, 'metric');
    const said = metric.format(sum);
    // What reads the same in both systems needs no second saying.
    if (result === undefined || metric.format(result) === sayValue(result)) return said;
    return sentence('sum.in-us', { sum: said, result });
  }

  return {
    language,
    system,
    missing,
    format: sayValue,
    beside: (said) => {
      const pattern = isSaid(said) && Object.hasOwn(hazards, said.code) ? hazards[said.code] : undefined;
      return pattern === undefined || !isSaid(said) ? undefined : compile(pattern)(said.values);
    },
    t: ((key: string, values?: Readonly<Record<string, SaidValue>>) => sentence(key, values)) as Words['t'],
    show: (value, name, digits) => showQuantity(value, name, saying, digits),
    quantity: (value, name, digits) => sayQuantity(value, name, saying, digits),
    number: (value) => sayNumber(value, language),
    fixed: (value, digits) => sayFixed(value, digits, language),
    inUnits: (other) => (other === system ? words(language, system) : words(language, other)),
  };

  function words(into: Language, units: UnitSystem): Words {
    return makeWords(catalogue, into, units, { spare, hazards, former });
  }
}

function isRow(value: SaidValue): value is readonly SaidValue[] {
  return Array.isArray(value);
}

/** "Tee" within a sentence is "tee"; "TIG" and "AlMg5" stay, and so do German nouns. */
function small(name: string, language: Language): string {
  if (written[language].nounsAreLarge || !/^\p{Lu}\p{Ll}+(?=$|[\s,)-])/u.test(name)) return name;
  return name.charAt(0).toLowerCase() + name.slice(1);
}

/** Values that decide a plural or are counted need to stay numbers. */
function countNames(elements: readonly unknown[], found = new Set<string>()): Set<string> {
  for (const element of elements as readonly {
    type: number;
    value?: unknown;
    options?: Record<string, { value: readonly unknown[] }>;
  }[]) {
    if (!element.options) continue;
    if (typeof element.value === 'string') found.add(element.value);
    for (const option of Object.values(element.options)) countNames(option.value, found);
  }
  return found;
}
