/** What every catalogue must hold, whatever it says. */
import { readdirSync, readFileSync } from 'node:fs';
import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import { describe, expect, it } from '@jest/globals';
import formerKeys from './former-keys.json' with { type: 'json' };
import hazardTexts from './hazards.en.json' with { type: 'json' };
import { unread, type Reviews } from './hazards.ts';
import { languages, type Language } from './languages.ts';
import { notSaid } from './not-said.ts';
import reviewed from './reviewed.json' with { type: 'json' };

const read = (language: Language) =>
  JSON.parse(readFileSync(new URL(`${language}.json`, import.meta.url), 'utf8')) as Record<string, string>;
const catalogues = Object.fromEntries(languages.map((language) => [language, read(language)])) as Record<
  Language,
  Record<string, string>
>;
const english = catalogues.en;
const others = languages.filter((language) => language !== 'en');

function values(elements: readonly MessageFormatElement[], found = new Set<string>()): Set<string> {
  for (const element of elements) {
    if (element.type === TYPE.argument) found.add(element.value);
    if (element.type === TYPE.plural || element.type === TYPE.select) {
      found.add(element.value);
      for (const option of Object.values(element.options)) values(option.value, found);
    }
  }
  return found;
}
const valuesIn = (pattern: string) => [...values(parse(pattern, { ignoreTag: true }))].sort();
function pluralsIn(elements: readonly MessageFormatElement[]): string[][] {
  return elements.flatMap((element) => (element.type === TYPE.plural ? [Object.keys(element.options)] : []));
}

/** What a person reads of a pattern: without the names of its values. */
const readable = (pattern: string) => pattern.replace(/\{\s*\w+\s*[,}]/g, ' ');

describe.each(languages)('the words of %s', (language) => {
  it('are the terms of docs/terms.md, and none that is not used for them', () => {
    const found = Object.entries(notSaid).flatMap(([term, patterns]) =>
      (patterns[language] ?? []).flatMap((not) => {
        const word = new RegExp(`(?<![\\p{L}\\p{N}])(?:${not})(?![\\p{L}\\p{N}])`, 'iu');
        return Object.entries(catalogues[language])
          .filter(([, pattern]) => word.test(readable(pattern)))
          .map(([key, pattern]) => [term, key, pattern]);
      }),
    );
    expect(found).toEqual([]);
  });

  it('are whole: no sentence begins or ends in a space, a comma or an open bracket', () => {
    const pieces = Object.entries(catalogues[language]).filter(
      ([, pattern]) => /^[\s,;:.·]/.test(pattern) || /[\s,([]$/.test(pattern) || /^\)/.test(pattern),
    );
    expect(pieces).toEqual([]);
  });
});

describe.each(others)('the catalogue of %s', (language) => {
  const catalogue = catalogues[language];

  it('has no key that the English one lacks, in the same order, and few wait to be translated', () => {
    const known = Object.keys(english).filter((key) => Object.hasOwn(catalogue, key));
    expect(Object.keys(catalogue)).toEqual(known);
    // More than a few days of work in English would read as neglect.
    expect(Object.keys(english).length - known.length).toBeLessThanOrEqual(40);
  });

  it('names the same values in every sentence, and none is empty', () => {
    for (const [key, pattern] of Object.entries(catalogue)) {
      expect([key, valuesIn(pattern)]).toEqual([key, valuesIn(english[key] ?? '')]);
      if ((english[key] ?? '').trim() !== '') expect([key, pattern.trim()]).not.toEqual([key, '']);
    }
  });

  it('has every form its own numbers ask for', () => {
    const forms = new Intl.PluralRules(language).resolvedOptions().pluralCategories;
    for (const [key, pattern] of Object.entries(catalogue)) {
      for (const given of pluralsIn(parse(pattern, { ignoreTag: true }))) {
        expect([key, given.filter((form) => !form.startsWith('=')).sort()]).toEqual([key, [...forms].sort()]);
      }
    }
  });

  it('leaves no English sentence', () => {
    const left = Object.entries(catalogue).filter(
      ([key, pattern]) =>
        pattern === english[key] && /\p{L}{3,}\s+\p{L}{2,}\s+\p{L}{2,}/u.test(pattern.replace(/\{[^}]*\}/g, '')),
    );
    expect(left).toEqual([]);
  });

  it('has been read by a named person wherever a hazard stands without its English', () => {
    const reviews: Reviews = reviewed;
    for (const [key, review] of Object.entries(reviews[language] ?? {})) {
      expect(Object.keys(hazardTexts)).toContain(key);
      expect(review.by.trim()).not.toBe('');
      expect(review.on).toMatch(/^\d{4}-\d{2}-\d{2}$/);
      expect(review.text).toBe(catalogue[key]);
    }
  });
});

describe('a key', () => {
  /** Every literal of the code that could be a key, and the beginnings and ends of those put together from a code. */
  function keysInCode() {
    const whole = new Set<string>();
    const parts: { readonly start: string; readonly end: string }[] = [];
    for (const folder of ['core', 'contract', 'words', 'server', 'web/src', 'cli']) {
      const root = new URL(`../${folder}/`, import.meta.url);
      for (const name of readdirSync(root, { recursive: true, encoding: 'utf8' })) {
        if (!/\.tsx?$/.test(name) || /node_modules|\.test\.|(^|\/)keys\.ts$/.test(name)) continue;
        const code = readFileSync(new URL(name, root), 'utf8');
        for (const [, , key = ''] of code.matchAll(/(['"`])([a-z][\w -]*(?:\.[\w -]+)+)\1/g)) whole.add(key);
        for (const [, start = '', end = ''] of code.matchAll(/`([a-z][\w-]*\.[\w.-]*)\$\{[^`]*?\}([\w-]*)`/g))
          parts.push({ start, end });
      }
    }
    return { whole, parts };
  }

  it('is said somewhere in the code', () => {
    const { whole, parts } = keysInCode();
    const dead = Object.keys(english).filter(
      (key) => !whole.has(key) && !parts.some(({ start, end }) => key.startsWith(start) && key.endsWith(end)),
    );
    expect(dead).toEqual([]);
  });

  it('is a name by place and meaning: no counter at its end, and no sentence cut off', () => {
    const cut = Object.keys(english).filter((key) => /(?<!utf)-[2-9]$/.test(key) || /-(a|the|and|or)$/.test(key));
    expect(cut).toEqual([]);
  });

  it('that had another name in an older version leads to one of today, and none of those names is used again', () => {
    const former = Object.entries(formerKeys);
    expect(former.filter(([, now]) => !Object.hasOwn(english, now))).toEqual([]);
    expect(former.filter(([then]) => Object.hasOwn(english, then))).toEqual([]);
  });

  it('gives its values names by meaning', () => {
    const unnamed = Object.entries(english).filter(([, pattern]) =>
      valuesIn(pattern).some((name) => /(?<!co)\d$/.test(name)),
    );
    expect(unnamed).toEqual([]);
  });
});

describe('hazards', () => {
  const [key = ''] = Object.keys(hazardTexts);
  it('stand in English in every catalogue that nobody has read', () => {
    expect(hazardTexts[key as keyof typeof hazardTexts]).toBe(english[key]);
    expect(unread('de', catalogues.de, hazardTexts, {})[key]).toBe(english[key]);
    expect(unread('en', english, hazardTexts, {})).toEqual({});
  });
  it('count as unread again when the sentence was changed after it was read', () => {
    const read = { de: { [key]: { by: 'Ilse Brandokor', on: '2026-11-26', text: catalogues.de[key] ?? '' } } };
    expect(unread('de', catalogues.de, hazardTexts, read)[key]).toBeUndefined();
    expect(unread('de', { ...catalogues.de, [key]: 'anders' }, hazardTexts, read)[key]).toBe(english[key]);
  });
});

describe('a hazard', () => {
  it('is any look that begins by isolating, any cylinder that is changed, and every caution of that level', () => {
    const isHazard = (key: string) => Object.hasOwn(hazardTexts, key);
    const isolating = Object.entries(english).filter(
      ([key, text]) =>
        /^Source off|^Power off|[Ii]solate (first|before)|Cap the old cylinder/.test(text) &&
        !key.startsWith('view.term.'),
    );
    expect(isolating.length).toBeGreaterThan(10);
    expect(isolating.filter(([key]) => !isHazard(key))).toEqual([]);
  });
});
