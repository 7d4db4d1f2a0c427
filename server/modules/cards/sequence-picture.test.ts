import { describe, expect, it } from '@jest/globals';
import { programFromPlan } from '@fox-tempo/core/setting/program';
import { translate } from '@fox-tempo/core/machine/dials';
import { planSeam } from '@fox-tempo/core/setting/plan';
import { scoreOf, sequenceOnMachine } from '@fox-tempo/core/weld/score';
import { plainSequence, sequenceTemplates } from '@fox-tempo/core/weld/sequence';
import { alder, hazel, rowan, scenarios } from '@fox-tempo/core/scenarios';
import { english, inEnglish } from '@fox-tempo/words/english';
import { sequenceLines } from './sequence-lines.ts';
import { sequencePicture } from './sequence-picture.ts';

const rail = scenarios.find(({ id }) => id === 'trike-frame-rail')!;
const plan = planSeam(rail.input);
if (!plan.ok) throw new Error('no plan');
const base = programFromPlan(rail.input, plan.value);
const warm = sequenceTemplates.find(({ id }) => id === 'cold-plate-warm-hand')?.change;
const program = { ...base, sequence: { ...plainSequence, ...warm, tapsAtMm: [250] } };

function printed(machine: typeof rowan, of = program) {
  const there = sequenceOnMachine(machine, of, translate(machine, of));
  const whole = scoreOf(there.asRun, { lengthMm: 420, thicknessMm: 4 }, there.habit);
  if (!whole.ok) throw new Error(inEnglish(whole.issues[0]?.message));
  return { svg: sequencePicture(english, whole.value, there), lines: sequenceLines(english, whole.value, machine, []) };
}

describe('the sequence on a printed card', () => {
  it.each([
    [alder, /Lead-in 1\d\d %.*Second share 85 %.*Lead-out 50 %/],
    [rowan, /First feed .* m\/min.*Last feed/],
    [hazel, /Start 1[01][05] %.*Finish 4[05] %/],
  ])('is said in this machine’s words', (machine, words) => {
    const { svg } = printed(machine);
    expect(svg).toMatch(words);
    expect(svg).not.toMatch(/NaN|undefined|Infinity/);
  });

  it('folds the long middle and says how many millimetres it hides', () => {
    expect(printed(alder).svg).toMatch(/>1\d\d mm<\/text>/);
  });

  it('counts the hand’s presses, and says which memories not to call by taps', () => {
    const { lines } = printed(alder);
    expect(lines[0]).toContain('press and hold until');
    expect(lines.some((text) => /2 taps at rest call memory 1: do not/.test(text))).toBe(true);
  });

  it('gives tack schedules and stitches where the trigger makes them', () => {
    const spots = {
      ...program,
      sequence: { ...program.sequence, trigger: 'spot' as const, spotS: 0.5, tackSpacingMm: 60 },
    };
    expect(printed(alder, spots).lines.join(' ')).toMatch(/8 tacks of \d+ mm every 5\d mm/);
    const stitches = { ...program, sequence: { ...program.sequence, trigger: 'stitch' as const } };
    expect(printed(rowan, stitches).lines.join(' ')).toMatch(/\d+ stitches of \d+ mm/);
  });
});
