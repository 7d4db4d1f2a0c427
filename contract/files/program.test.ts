import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { plainSequence, sequenceNumbers } from '@fox-tempo/core/weld/sequence';
import { exampleFiles } from './examples.ts';
import { parseWith } from '../issues.ts';
import { programChoice } from '../program-choice.ts';
import { readProgramFile, triggerSequence } from './program.ts';

const lid = exampleFiles()['lid-seam'] as { sequence: typeof plainSequence } & Record<string, unknown>;
const oldKeys = [
  'trigger',
  'preGasS',
  'runInPercent',
  'startPercent',
  'startS',
  'slopeInS',
  'slopeOutS',
  'endPercent',
  'endS',
  'burnBackMs',
  'postGasS',
] as const;

describe('program files', () => {
  it('written before the score was a field mean the plain values', () => {
    const old = { ...lid, sequence: Object.fromEntries(oldKeys.map((key) => [key, lid.sequence[key]])) };
    const read = readProgramFile(JSON.parse(JSON.stringify(old)));
    if (!read.ok) throw new Error(inEnglish(read.issues[0]?.message));
    for (const key of oldKeys) expect(read.value.sequence[key]).toEqual(lid.sequence[key]);
    expect(read.value.sequence).toMatchObject({
      secondPercent: plainSequence.secondPercent,
      tapsAtMm: [],
      endPulse: false,
      tackSpacingMm: 0,
    });
  });

  it('go out and come in the same', () => {
    const read = readProgramFile(JSON.parse(JSON.stringify(lid)));
    expect(read.ok && read.value).toEqual(JSON.parse(JSON.stringify(lid)));
  });

  it.each(sequenceNumbers)('%s beyond its limit is refused at its place', (field) => {
    const wrong = { ...plainSequence, [field]: 1e6 };
    const parsed = parseWith(triggerSequence, wrong);
    expect(parsed.ok ? [] : parsed.issues.map(({ path }) => path)).toEqual([field]);
  });

  it('refuse triggers, taps and angles that cannot be', () => {
    const refusedAt = (change: object) => {
      const read = readProgramFile({ ...(JSON.parse(JSON.stringify(lid)) as object), ...change });
      return read.ok ? [] : read.issues.map(({ path }) => path);
    };
    expect(refusedAt({ sequence: { ...plainSequence, trigger: 'sing' } })).toEqual(['sequence.trigger']);
    expect(refusedAt({ sequence: { ...plainSequence, tapsAtMm: [-4] } })).toEqual(['sequence.tapsAtMm.0']);
    expect(refusedAt({ gun: { workDeg: 45, travelDeg: 90 } })).toEqual(['gun.travelDeg']);
  });
});

describe('a choice', () => {
  it('without a score or a gun takes what is usual', () => {
    const parsed = parseWith(programChoice, {
      filler: 'steel-solid',
      gas: 'M21-ArC-18',
      diameterMm: 1,
      arcHabit: 'by-joint',
      wireFeedMPerMin: null,
    });
    expect(parsed.ok && parsed.value).toMatchObject({ mode: 'pulse', tune: null, sequence: null });
    expect(parsed.ok && parsed.value.gun).toBeUndefined();
  });
});

describe('a choice', () => {
  it('made before the pulse’s frequency could be fixed leaves it to be solved', () => {
    const old = {
      trimMm: 1,
      stiffness: null,
      ctwdMm: null,
      peakCurrentA: 380,
      peakTimeMs: null,
      backgroundCurrentA: null,
    };
    const read = programChoice.parse({
      filler: 'steel-solid',
      gas: 'M21-ArC-18',
      diameterMm: 1,
      arcHabit: 'on-line',
      wireFeedMPerMin: null,
      tune: { ...old, slowBeat: null },
    });
    expect(read.tune).toMatchObject({ peakCurrentA: 380, frequencyHz: null });
  });
});
