/** Trigger schools, tacks, and what a machine cannot do. */
import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { translate } from '../../machine/dials/index.ts';
import { alder, hazel, rowan } from '../../scenarios/index.ts';
import { sequenceTemplates, type TriggerSequence } from '../sequence/index.ts';
import { evaluateSequence } from './evaluate.ts';
import { seamScore } from './intended.ts';
import { stitchPlan, tackSchedule } from './tacks.ts';
import { programOf, scored } from './testing/scores.ts';

const template = (id: string) => sequenceTemplates.find((one) => one.id === id)?.change ?? {};
const warm = { ...template('cold-plate-warm-hand'), tapsAtMm: [90] };

describe('every trigger school', () => {
  it.each(['hold', 'hold-timed', 'latch', 'latch-levels', 'latch-second', 'spot', 'stitch'] as const)(
    '%s welds from gas to gas',
    (trigger) => {
      const { score } = scored('trike-frame-node', { trigger, startPercent: 120, endPercent: 60 });
      expect(score.played.at(-1)?.name).toBe('idle');
      expect(score.played.at(-2)?.name).toBe('post-gas');
      if (trigger !== 'spot' && trigger !== 'stitch') expect(score.gun.endMm).toBeCloseTo(180, 0);
    },
  );

  it('plain latching is pressed as the machine takes it', () => {
    const { program } = programOf('hitch-bracket-fillet', { trigger: 'latch' });
    for (const startsOn of ['press', 'release'] as const) {
      for (const endsOn of ['press', 'release'] as const) {
        const score = seamScore(program, 240, { startsOn, endsOn, endLimitS: null });
        expect(score.gun.endMm).toBeCloseTo(240, 0);
      }
    }
  });
});

describe('tacks and stitches', () => {
  const { program } = programOf('counter-corner');

  it('spread evenly from end to end, ends first', () => {
    const outcome = tackSchedule({ program, lengthMm: 620, thicknessMm: 1.5 });
    if (!outcome.ok) throw new Error('refused');
    const { atMm, count, order, spacingMm, gasLostL, gasL, arcS } = outcome.value;
    expect(atMm[0]).toBeCloseTo(2.5, 9);
    expect(atMm.at(-1)).toBeCloseTo(617.5, 9);
    expect(spacingMm * (count - 1)).toBeCloseTo(615, 6);
    expect(order.slice(0, 2)).toEqual([0, count - 1]);
    expect([...order].sort((a, b) => a - b)).toEqual(atMm.map((_, at) => at));
    expect(gasL - gasLostL).toBeCloseTo((count * arcS * program.gasFlowLPerMin) / 60, 9);
  });

  it('refuses tacks that touch and lengths out of reach', () => {
    const asked = { program, lengthMm: 620, thicknessMm: 1.5 };
    expect(tackSchedule({ ...asked, spacingMm: 20, tackMm: 20 })).toMatchObject({
      ok: false,
      issues: [{ code: 'tacks-touch' }],
    });
    expect(tackSchedule({ ...asked, spacingMm: 2 })).toMatchObject({ ok: false, issues: [{ path: 'spacingMm' }] });
  });

  it('a stitch rhythm becomes millimetres at the pace, and less heat', () => {
    const plan = stitchPlan(
      { ...program, travelMmPerMin: 600, sequence: { ...program.sequence, stitchOnS: 0.5, stitchOffS: 0.5 } },
      300,
    );
    expect(plan.stitchMm).toBeCloseTo(5, 9);
    expect(plan.heatShare).toBeLessThan(0.5);
    expect(plan.count).toBe(Math.floor((300 + plan.gapMm) / (plan.stitchMm + plan.gapMm)));
  });
});

describe('the sequence question', () => {
  const { program } = programOf('trike-frame-node', warm);

  it('names events that cannot be, with their places', () => {
    const outcome = evaluateSequence({
      program,
      untilS: 10,
      events: [
        { atS: 1, action: 'press' },
        { atS: 0.5, action: 'release' },
        { atS: -1, action: 'press' },
        { atS: 2, action: 'release' },
        { atS: 3, action: 'release' },
      ],
    });
    expect(outcome.ok ? [] : outcome.issues.map(({ path, code }) => `${path} ${code}`)).toEqual([
      'events.1.atS out-of-order',
      'events.2.atS negative-time',
      'events.3.action not-possible',
      'events.4.action not-possible',
    ]);
  });

  it('gives samples with gas, wire and level', () => {
    const outcome = evaluateSequence({
      program,
      untilS: 6,
      sampleEveryS: 0.5,
      events: [
        { atS: 0.5, action: 'press' },
        { atS: 2, action: 'release' },
      ],
    });
    if (!outcome.ok) throw new Error(inEnglish(outcome.issues[0]?.message));
    expect(outcome.value.samples).toHaveLength(13);
    expect(outcome.value.samples[0]).toMatchObject({ gas: false, wireFeedMPerMin: 0, levelPercent: 0 });
    expect(outcome.value.samples[3]).toMatchObject({ gas: true, levelPercent: 130 });
    expect(outcome.value.samples[8]).toMatchObject({
      levelPercent: 100,
      wireFeedMPerMin: expect.closeTo(program.wireFeedMPerMin, 9),
    });
  });

  it('refuses more samples than an answer holds', () => {
    expect(evaluateSequence({ program, untilS: 3000, sampleEveryS: 0.001, events: [] })).toMatchObject({
      ok: false,
      issues: [{ path: 'sampleEveryS', code: 'too-many-samples' }],
    });
  });
});

describe('levels with a slow beat', () => {
  const { program } = programOf('trike-frame-rail', warm);
  const said = (machine: typeof rowan) =>
    translate(machine, program).dials.find(({ quantity }) => quantity === 'startFeedMPerMin');

  it('are of the mean feed, though the main dial of two schools shows the high level', () => {
    const wanted = 1.3 * program.wireFeedMPerMin;
    for (const machine of [rowan, hazel, alder]) {
      // Half a step of the widest of them, 5 % of the high level.
      expect(Math.abs((said(machine)?.reachedQuantity ?? 0) - wanted)).toBeLessThan(0.3);
    }
    expect(said(hazel)?.display).not.toBe('130');
  });
});

describe('levels beyond a machine', () => {
  it('are named with level, feed and limit, and only those the trigger runs', () => {
    const { program } = programOf('trike-frame-rail', { ...warm, startPercent: 200, endPercent: 20 });
    const fast = { ...program, wireFeedMPerMin: 10, slowBeat: null, mode: 'pulse' as const };
    const said = (trigger: TriggerSequence['trigger']) =>
      translate(hazel, { ...fast, sequence: { ...fast.sequence, trigger } })
        .warnings.filter(({ code }) => code === 'level-beyond-machine')
        .map(({ message }) => message);
    expect(inEnglish(said('latch-second'))).toEqual([
      "The start at 200 %, 20 m/min, is outside Hazel's 2 to 18 m/min.",
    ]);
    expect(said('hold')).toEqual([]);
  });
});
