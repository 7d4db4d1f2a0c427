/** What stands under the sequence's picture: the hand's presses in counts, tacks or stitches, and memories called by taps. */
import { tapTargets, type HeldInSlot, type Machine, type Program } from '@fox-tempo/core/machine';
import { pressLines, stitchPlan, tackMmOf, tackSchedule, type ScoreOf } from '@fox-tempo/core/score';

export function sequenceLines(whole: ScoreOf, machine: Machine, slots: readonly HeldInSlot[]): string[] {
  const { program, score, thicknessMm } = whole;
  return [
    ...pressLines(score),
    ...scheduleLines(program, score.lengthMm, thicknessMm),
    ...tapTargets(machine, slots, program).map(
      ({ taps, slot, name, warning }) =>
        `${taps} taps at rest call memory ${slot}${name === null ? '' : `, ${name}`}${warning ? `: do not, ${warning}` : ''}.`,
    ),
  ];
}

function scheduleLines(program: Program, lengthMm: number, thicknessMm: number): string[] {
  if (program.sequence.trigger === 'stitch') {
    const { count, stitchMm, gapMm, heatShare } = stitchPlan(program, lengthMm);
    return [
      `${count} stitches of ${stitchMm.toFixed(0)} mm, ${gapMm.toFixed(0)} mm between; ${(heatShare * 100).toFixed(0)} % of a closed seam’s heat.`,
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
  if (!plan.ok) return plan.issues.map(({ message }) => message);
  const { count, spacingMm, tackMm, arcS, gasL, gasLostL, dressBack } = plan.value;
  return [
    `${count} tacks of ${tackMm.toFixed(0)} mm every ${spacingMm.toFixed(0)} mm, ${arcS.toFixed(2)} s each; both ends first, then the middles. ${gasL.toFixed(0)} L of gas, ${gasLostL.toFixed(0)} L without an arc.${dressBack ? ' Dress them back.' : ''}`,
  ];
}
