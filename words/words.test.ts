import { describe, expect, it } from '@jest/globals';
import { amount, bare, inSentence, joined, oneOf } from '@fox-tempo/core/base/messages';
import { languageFor, loadWords, makeWords, wordsIn, withSentences, formatIn, type Language } from './index.ts';
import { formatForInput } from './numbers.ts';

const at = (language: Language, system: 'metric' | 'us' = 'metric') => wordsIn(language, system);
const nb = '\u00a0';

describe('quantities', () => {
  it.each([
    ['en', 'metric', '−4.5 m/min'],
    ['de', 'metric', `−4,5${nb}m/min`],
    ['pl', 'us', `−177${nb}ipm`],
    ['es', 'us', `−177${nb}ipm`],
    ['pt-BR', 'metric', `−4,5${nb}m/min`],
  ] as const)('in %s, %s: value, sign and unit', async (language, system, said) => {
    // 4.5 m/min / 0.0254 m/in = 177.2 in/min.
    expect((await at(language, system)).quantity(-4.5, 'wireFeed')).toBe(said);
  });

  it('are read off a rule where the trade does', async () => {
    const us = await at('en', 'us');
    // 1.5875 mm = 1/16 in; 6.35 mm = 1/4 in; 38.1 mm = 1 1/2 in; 4.2 mm lies between two sixteenths.
    expect(us.quantity(1.5875, 'thickness')).toBe('1/16 in');
    expect(us.quantity(6.35, 'shortLength')).toBe('1/4 in');
    expect(us.quantity(38.1, 'length')).toBe('1 1/2 in');
    expect(us.quantity(4.2, 'shortLength')).toBe('0.165 in');
  });

  it('have an offset where the scale has one', async () => {
    // 100 degC = 212 degF.
    expect((await at('en', 'us')).quantity(100, 'temperature')).toBe('212 °F');
    expect((await at('de')).quantity(100, 'temperature')).toBe(`100${nb}°C`);
  });

  it('say nothing that is not a number, and no minus before nothing', async () => {
    const words = await at('de');
    expect(words.quantity(Number.NaN, 'wireFeed')).toBe(`–${nb}m/min`);
    expect(words.fixed(-0.04, 1)).toBe('0,0');
    expect(words.fixed(Number.NaN, 1)).toBe('–');
    expect(words.number(2.5)).toBe('2,5');
  });

  it('of five digits and more are grouped as each language groups them, four are not', async () => {
    const said = async (language: Language) => (await at(language)).fixed(12345.6, 1);
    expect([await said('en'), await said('de'), await said('es'), await said('pl')]).toEqual([
      '12,345.6',
      '12.345,6',
      '12.345,6',
      `12${nb}345,6`,
    ]);
    expect((await at('de')).number(1234.5)).toBe('1234,5');
  });

  it('go into a field as the reader types them', () => {
    expect(formatForInput(-1.5, 'shortLength', { language: 'de', system: 'metric' })).toBe('-1,5');
    expect(formatForInput(25.4, 'length', { language: 'en', system: 'us' })).toBe('1');
  });
});

describe('sentences', () => {
  it('put a name, a row, an amount and something said in their place', () => {
    const words = makeWords({ a: '{x}: {y}', b: 'Kehlnaht' }, 'de', 'metric');
    const said = (x: Parameters<typeof inSentence>[0], y: Parameters<typeof oneOf>[0][number]) =>
      words.format({ code: 'a', values: { x, y } });
    expect(said('Rowan', amount('current', 131, 0))).toBe(`Rowan: 131${nb}A`);
    expect(said({ code: 'b', values: {} }, [1, 2.5])).toBe('Kehlnaht: 1, 2,5');
    expect(said('x', joined([bare('wireFeed', 2), amount('wireFeed', 5)], ' bis '))).toBe(`x: 2 bis 5${nb}m/min`);
    expect(said('x', oneOf(['A', 'B', 'C']))).toBe('x: A, B oder C');
  });

  it('write a name small within a sentence where the language does', () => {
    const format = (language: 'en' | 'de', name: string) => makeWords({}, language, 'metric').format(inSentence(name));
    expect(format('en', 'Tee')).toBe('tee');
    expect(format('de', 'T-Stoß')).toBe('T-Stoß');
    expect(format('en', 'TIG')).toBe('TIG');
    expect(format('en', 'AlMg5')).toBe('AlMg5');
  });

  it('count by the rules of the language', async () => {
    const late = async (language: 'en' | 'pl' | 'es', days: number) =>
      (await at(language)).t('view.today.days-late', { days });
    expect(await late('en', 1)).toBe('1 day late');
    expect([await late('pl', 1), await late('pl', 3), await late('pl', 5)]).toEqual([
      '1 dzień po terminie',
      '3 dni po terminie',
      '5 dni po terminie',
    ]);
    expect(await late('es', 2)).toBe('2 días de retraso');
  });

  it('that a catalogue lacks are said in English and counted, and the key is never shown', async () => {
    const load = async (language: Language) =>
      language === 'en' ? (await import('./en.json', { with: { type: 'json' } })).default : { 'view.sign-in.ok': 'OK' };
    const words = await loadWords('pl', 'metric', load, { former: {}, isWhole: false });
    expect(words.t('view.sheet.nothing-is-changed')).toBe('Nothing has changed.');
    words.t('view.sheet.nothing-is-changed');
    expect(words.missing.get('view.sheet.nothing-is-changed')).toBe(2);
    expect(makeWords({}, 'pl', 'metric').format({ code: 'nowhere', values: {} })).toBe('…');
  });

  it('of a record of an older version are said under the name that their key has now', async () => {
    expect((await at('en')).format({ code: 'plan.zinc-coating-boils-off-as', values: {} })).toMatch(
      /^Zinc coating boils/,
    );
    expect((await at('de')).inUnits('us').format({ code: 'plan.lap', values: {} })).toBe('Überlappstoß');
  });

  it('change their units without another catalogue', async () => {
    const words = await at('de');
    expect(words.inUnits('us').quantity(5, 'wireFeed')).toBe(`197${nb}ipm`);
    expect(words.inUnits('metric')).toMatchObject({ language: 'de', system: 'metric' });
  });
});

describe('an answer told', () => {
  it('keeps code and values beside each sentence, and the English of a hazard nobody has read', async () => {
    const zinc = { code: 'plan.caution.zinc-fume', values: {} };
    const told = withSentences({ warnings: [{ level: 'hazard', message: zinc }], rows: [1, 2] }, await at('de')) as {
      warnings: [Record<string, unknown>];
      rows: number[];
    };
    expect(told.rows).toEqual([1, 2]);
    expect(told.warnings[0]['messageSaid']).toEqual(zinc);
    expect(told.warnings[0]['message']).toMatch(/^Die Zinkschicht/);
    expect(told.warnings[0]['messageInEnglish']).toMatch(/^Zinc coating boils off/);
    expect(formatIn({ message: zinc }, await at('en'))).toEqual({ message: (await at('en')).format(zinc) });
  });
});

describe('the language', () => {
  it.each([
    ['pl-PL, de;q=0.8', 'pl'],
    ['fr, es;q=0.5', 'es'],
    ['fr', 'en'],
    ['pt-BR', 'pt-BR'],
    ['pt-PT, en;q=0.5', 'pt-BR'],
    ['de-AT', 'de'],
    [null, 'en'],
  ] as const)('for %s is %s', (wished, chosen) => {
    expect(languageFor(wished)).toBe(chosen);
  });
});
