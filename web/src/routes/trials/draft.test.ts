import { describe, expect, it } from '@jest/globals';
import { symptomsOn } from '@fox-tempo/core/evidence/trial';
import { blankDraft, bodyOf, draftOf, lookedAtClean, notLookedAt, sideState, tapped } from './draft.ts';

describe('a trial being written down', () => {
  it('says "clean" of exactly the symptoms of one side', () => {
    const clean = lookedAtClean({}, 'back');
    expect(Object.keys(clean).sort()).toEqual([...symptomsOn('back')].sort());
    expect(Object.values(clean).every((one) => one.answer === 'no')).toBe(true);
    expect(sideState(clean, 'back')).toBe('clean');
    expect(sideState(clean, 'front')).toBe('open');
    expect(notLookedAt(clean, 'back')).toEqual({});
  });

  it('goes from slight over plain to bad and back, and counts the neighbours as looked for', () => {
    let seen = tapped({}, 'end', 'crater-crack');
    expect(seen['crater-crack']).toEqual({ answer: 'yes', severity: 1 });
    expect(seen['wire-long']).toEqual({ answer: 'no' });
    seen = tapped(tapped(seen, 'end', 'crater-crack'), 'end', 'crater-crack');
    expect(seen['crater-crack']).toEqual({ answer: 'yes', severity: 3 });
    expect(sideState(seen, 'end')).toBe('seen');
    expect(tapped(seen, 'end', 'crater-crack')['crater-crack']).toEqual({ answer: 'no' });
  });

  it('leaves out what is blank: blank is not no', () => {
    const body = bodyOf({ ...blankDraft, legs: [5, null], seconds: 20, measured: { widthMm: null, spatter: 0 } });
    expect(body.measured).toEqual({ spatter: 0 });
    expect(body).not.toHaveProperty('timing');
    expect(body).not.toHaveProperty('displayed');
    expect(bodyOf({ ...blankDraft, seconds: 20, lengthMm: 200 }).timing).toEqual({
      seconds: 20,
      lengthMm: 200,
      by: 'typed',
    });
  });

  it('takes the gauge where nobody read two legs, and the legs where somebody did', () => {
    expect(bodyOf({ ...blankDraft, gauge: 'fits' }).measured).toEqual({ gauge: 'fits' });
    expect(bodyOf({ ...blankDraft, gauge: 'fits', legs: [4, 4.5] }).measured).toEqual({ legsMm: [4, 4.5] });
  });

  it('begins a correction as what was recorded', () => {
    const body = bodyOf({
      ...blankDraft,
      legs: [4, 5],
      seconds: 12,
      lengthMm: 100,
      by: 'helper',
      currentA: 180,
      symptoms: { crackle: { answer: 'yes', severity: 2 } },
      heard: ['hum-crackle'],
      note: 'n',
      stamp: '7',
    });
    expect(bodyOf(draftOf(body, null))).toEqual(body);
  });
});
