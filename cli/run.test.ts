import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from '@jest/globals';
import { languages, wordsIn } from '@fox-tempo/words';
import { english } from '@fox-tempo/words/english';
import { readFlags } from './flags.ts';
import { runVerb } from './run.ts';

const run = (verb: string | undefined, input: unknown) =>
  runVerb(verb, () => (typeof input === 'string' ? input : JSON.stringify(input)), english);
const pulse = { filler: 'steel-solid', gas: 'M21-ArC-18', diameterMm: 1.2, wireFeedMPerMin: 5.5, extensionMm: 13 };

describe('tempo', () => {
  it('says what each verb is for', () => {
    const help = run('help', {});
    expect(help).toMatchObject({ ok: true, value: { use: expect.stringContaining('melt | pulse') } });
    const { verbs } = (help as { value: { verbs: Record<string, string> } }).value;
    for (const [verb, summary] of Object.entries(verbs)) expect([verb, summary.length > 10]).toEqual([verb, true]);
    expect(verbs).toHaveProperty('read-dials');
  });

  it('answers each verb with the fixed names', () => {
    const melted = run('melt', { filler: 'steel-solid', diameterMm: 1.2, extensionMm: 13, wireFeedMPerMin: 8 });
    expect(melted).toMatchObject({
      ok: true,
      value: { wireFeedMPerMin: 8, currentA: expect.any(Number), depositionKgPerH: expect.any(Number) },
    });
    const names = [
      'frequencyHz',
      'peakCurrentA',
      'peakTimeMs',
      'backgroundCurrentA',
      'meanCurrentA',
      'rmsCurrentA',
      'dropFactor',
      'dropsPerPulse',
      'meltedMPerMin',
    ];
    const pulsed = run('pulse', pulse);
    expect(
      pulsed.ok && names.every((name) => typeof (pulsed.value as Record<string, unknown>)[name] === 'number'),
    ).toBe(true);
    const plan = run('plan', {
      seam: {
        materialGroup: 'stainless',
        thicknessesMm: [2.5, 2.5],
        joint: 'corner-outside',
        position: 'PA',
        gapMm: 0,
        lengthMm: 400,
      },
      arcHabit: 'by-joint',
      filler: 'stainless-solid',
      gas: 'M12-ArC-2',
      diameterMm: 1,
      mode: 'pulse',
    });
    expect(plan).toMatchObject({
      ok: true,
      value: {
        transferMode: 'pulsed-one-drop',
        arcLengthMm: 5.25,
        pulse: { dropsPerPulse: 1 },
        bands: { meanCurrentA: expect.any(Array) },
      },
    });
  });

  it('plays presses through a program’s sequence, with the fixed names', () => {
    const program = JSON.parse(
      readFileSync(new URL('../docs/examples/lid-seam.tempo.json', import.meta.url), 'utf8'),
    ) as object;
    const played = run('sequence', {
      program,
      events: [
        { atS: 0.5, action: 'press' },
        { atS: 2.5, action: 'release' },
      ],
      untilS: 6,
      sampleEveryS: 0.5,
    });
    expect(played).toMatchObject({
      ok: true,
      value: {
        phases: expect.arrayContaining([{ name: 'pre-gas', fromS: 0.5, toS: expect.any(Number) }]),
        samples: expect.arrayContaining([
          expect.objectContaining({ timeS: 0, gas: false, wireFeedMPerMin: 0, levelPercent: 0 }),
        ]),
      },
    });
    expect(run('sequence', { program, events: [{ atS: -1, action: 'press' }], untilS: 6 })).toMatchObject({
      ok: false,
      error: { error: { path: 'events.0.atS', code: 'negative-time' } },
    });
    expect(run('sequence', { program: { ...program, version: 9 }, events: [], untilS: 1 })).toMatchObject({
      ok: false,
      error: { error: { path: expect.stringMatching(/^program/) } },
    });
  });

  it.each([
    [undefined, pulse, 'unknown-verb', 'verb'],
    ['toString', pulse, 'unknown-verb', 'verb'],
    ['pulse', '{', 'malformed-json', ''],
    ['pulse', 'null', 'wrong-type', ''],
    ['pulse', { ...pulse, gas: 'C1' }, 'gas-too-active-for-pulse', 'gas'],
    ['pulse', { ...pulse, wireFeedMPerMin: 25 }, 'outside-pulse-range', 'wireFeedMPerMin'],
  ])('%s %j is refused as %s', (verb, input, code, path) => {
    expect(run(verb, input)).toMatchObject({
      ok: false,
      error: { error: { code, path, message: expect.any(String), hint: expect.any(String) } },
    });
  });

  it('refuses a plan in every language with the same code, path and values', async () => {
    const asked = {
      seam: {
        materialGroup: 'steel',
        thicknessesMm: [3, 3],
        joint: 'tee',
        position: 'PB',
        gapMm: 0,
        lengthMm: 400,
      },
      arcHabit: 'by-joint',
      filler: 'steel-solid',
      gas: 'C1',
      diameterMm: 1.2,
      mode: 'pulse',
    };
    const answers = await Promise.all(
      languages.map(async (language) => {
        const answer = runVerb('plan', () => JSON.stringify(asked), await wordsIn(language, 'metric'));
        if (answer.ok) throw new Error('pulse in pure CO2 was planned');
        return (answer.error as { error: Record<'code' | 'path' | 'message' | 'hint', unknown> }).error;
      }),
    );
    expect(new Set(answers.map(({ code, path }) => `${String(code)} ${String(path)}`)).size).toBe(1);
    expect(answers[0]).toMatchObject({ code: 'gas-too-active-for-pulse', path: 'gas' });
    // As many sentences as languages, none of them the other's.
    expect(new Set(answers.map(({ message }) => message)).size).toBe(languages.length);
    expect(new Set(answers.map(({ hint }) => hint)).size).toBe(languages.length);
  });

  it.each([
    [['plan', '--lang', 'pl', '-', '--units=us'], { lang: 'pl', units: 'us' }, ['plan', '-'], false],
    [['plan', '--lang', 'fr'], { lang: 'en', units: 'metric' }, ['plan'], true],
    [['plan', '--units', 'stones'], { lang: 'en', units: 'metric' }, ['plan'], true],
  ])('reads %j', (args, flags, words, refused) => {
    const read = readFlags(args);
    expect({ flags: read.flags, words: read.words }).toEqual({ flags, words });
    expect(read.refusal === undefined).toBe(!refused);
    if (read.refusal)
      expect(read.refusal(english)).toMatchObject({ ok: false, error: { error: { code: 'unknown-code' } } });
  });

  it('ends a real process with 2, a JSON error on standard error and nothing on standard output', () => {
    const root = fileURLToPath(new URL('..', import.meta.url));
    const tempo = (input: string, ...args: string[]) =>
      spawnSync('node', ['--import', 'tsx', 'cli/tempo.ts', ...args], { cwd: root, input, encoding: 'utf8' });
    const good = tempo(JSON.stringify(pulse), 'pulse', '-');
    expect(good.status).toBe(0);
    expect(JSON.parse(good.stdout)).toMatchObject({ frequencyHz: expect.closeTo(114.6, 1) });
    const bad = tempo('not json', 'pulse', '-');
    expect([bad.status, bad.stdout]).toEqual([2, '']);
    expect(JSON.parse(bad.stderr)).toMatchObject({ error: { code: 'malformed-json' } });
    expect(JSON.parse(tempo('', 'melt', '/nowhere.json').stderr)).toMatchObject({
      error: { code: 'unreadable-input' },
    });
  });
});
