/** What stands under the sequence's picture: the hand's presses in counts, tacks or stitches, and memories called by taps. */
import { absent, amount } from '@fox-tempo/core/base/messages';
import type { Words } from '@fox-tempo/words';
import { tapTargets, type HeldInSlot, type Machine } from '@fox-tempo/core/machine/description';
import { type Program } from '@fox-tempo/core/setting/program';
import { pressLines, stitchPlan, tackMmOf, tackSchedule, type ScoreOf } from '@fox-tempo/core/weld/score';

export function sequenceLines(say: Words, whole: ScoreOf, machine: Machine, slots: readonly HeldInSlot[]): string[] {
  const { program, score, thicknessMm } = whole;
  return [
    ...pressLines(score).map(say.format),
    ...scheduleLines(say, program, score.lengthMm, thicknessMm),
    ...tapTargets(machine, slots, program).map(({ taps, slot, name, warning }) =>
      say.t('server.cards.taps-call-memory', {
        taps,
        slot,
        name: name ?? absent,
        warning: warning ?? absent,
      }),
    ),
  ];
}

function scheduleLines({ t, format }: Words, program: Program, lengthMm: number, thicknessMm: number): string[] {
  if (program.sequence.trigger === 'stitch') {
    const { count, stitchMm, gapMm, heatShare } = stitchPlan(program, lengthMm);
    return [
      t('server.cards.stitches', {
        count,
        stitch: amount('length', stitchMm, 0),
        gap: amount('length', gapMm, 0),
        heatShare: amount('percent', heatShare * 100, 0),
      }),
    ];
  }
  if (program.sequence.trigger !== 'spot') return [];
  const { tackSpacingMm } = program.sequence;
  const plan = tackSchedule({
    program,
    lengthMm,
    thicknessMm,
    tackMm: tackMmOf(program),
    ...(tackSpacingMm > 0 ? { spacingMm: tackSpacingMm } : {}),
  });
  if (!plan.ok) return plan.issues.map(({ message }) => format(message));
  const { count, spacingMm, tackMm, arcS, gasL, gasLostL, dressBack } = plan.value;
  return [
    t('server.cards.tacks', {
      count,
      tack: amount('length', tackMm, 0),
      spacing: amount('length', spacingMm, 0),
      arc: amount('phaseTime', arcS, 2),
      gas: amount('volume', gasL, 0),
      gasLost: amount('volume', gasLostL, 0),
    }),
    ...(dressBack ? [t('server.cards.dress-them-back')] : []),
  ];
}
