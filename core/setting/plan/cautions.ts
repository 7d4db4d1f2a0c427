/** Hazards where they arise, and cautions a plan should carry: said with the setting, never instead of it. */
import { amount, hazard, type Phrase, message } from '../../base/messages/index.ts';
import { fillerOf, gasOf, type FillerCode } from '../../metal/consumables/index.ts';
import { gradeFit, gradeNamed } from '../../metal/grades/index.ts';
import type { Warning } from '../../base/outcome/index.ts';
import type { GunAngles } from './gun-angles.ts';
import type { PlanInput } from './input.ts';
import { jointRule, type Joint, thinnerMm } from './joints.ts';
import type { PlanMode } from './mode.ts';
import { widestGapMm } from './practice.ts';

/** Fume, rays and coating by metal and wire; the usual workshop cautions, deferring to local rules. */
export function hazardWarnings({ seam, filler: code }: PlanInput): Warning[] {
  const warnings: Warning[] = [];
  const danger = (warningCode: string, message: Phrase) =>
    warnings.push({ code: warningCode, level: 'hazard', message });
  if (seam.materialGroup === 'aluminium') {
    danger('ultraviolet-ozone', hazard('plan.caution.aluminium-radiation'));
  }
  if (seam.materialGroup === 'stainless') {
    danger('hexavalent-chromium', hazard('plan.caution.stainless-fume'));
  }
  if (seam.materialGroup === 'galvanised') {
    danger('zinc-fume', hazard('plan.caution.zinc-fume'));
  }
  if (fillerOf(code).family === 'copper-silicon') {
    danger('copper-fume', hazard('plan.caution.copper-fume'));
  }
  return warnings;
}

/** What the grade says of the filler; a grade that nobody knows is said, since then only the metal was looked at. */
function gradeWarnings({ seam: { grade: text = '', materialGroup }, filler }: PlanInput): Warning[] {
  if (text.trim() === '') return [];
  const grade = gradeNamed(text, materialGroup);
  if (!grade)
    return [
      { code: 'grade-unknown', level: 'note', message: message('plan.caution.unknown-grade', { grade: text.trim() }) },
    ];
  const fit = gradeFit(grade, filler);
  return fit ? [{ code: 'grade-filler', level: 'caution', message: fit.message }] : [];
}

/** What joint, position and wire choice ask the welder to watch. */
export function seamWarnings(input: PlanInput): Warning[] {
  const { seam, filler: code, gas, mode } = input;
  const warnings: Warning[] = [];
  const caution = (warningCode: string, message: Phrase, level: Warning['level'] = 'caution') =>
    warnings.push({ code: warningCode, level, message });
  const thinner = thinnerMm(seam.thicknessesMm);
  const filler = fillerOf(code);
  const limit = widestGapMm(thinner);
  warnings.push(...gradeWarnings(input));
  if (seam.gapMm > limit) {
    caution(
      'gap-too-wide',
      message('plan.caution.gap-over-limit', {
        gap: amount('shortLength', seam.gapMm),
        limit: amount('shortLength', limit, 1),
        allowance: amount('shortLength', 1),
      }),
    );
  }
  if (seam.position === 'PG') {
    caution('vertical-down-fusion', message('plan.caution.vertical-down'));
  }
  if (seam.position === 'PD' || seam.position === 'PE') {
    caution('overhead', hazard('plan.caution.overhead'), 'hazard');
  }
  if (
    (seam.position === 'PB' || seam.position === 'PD') &&
    (seam.joint === 'butt' || seam.joint === 'corner-outside' || seam.joint === 'edge')
  ) {
    caution(
      'position-for-fillets',
      message('plan.caution.fillet-position', {
        position: seam.position,
        meant: seam.position === 'PB' ? message('plan.pa-or-pc') : message('plan.pe'),
      }),
      'note',
    );
  }
  if (filler.family === 'stainless' && code !== 'stainless-309l' && seam.materialGroup === 'steel') {
    caution('dissimilar-filler', message('plan.caution.stainless-wire-on-steel'));
  }
  if (filler.family === 'steel' && seam.materialGroup === 'galvanised') {
    caution('zinc-porosity', message('plan.caution.steel-wire-on-zinc'));
  }
  if (filler.family === 'copper-silicon' && seam.joint === 'lap') {
    const sum = seam.thicknessesMm[0] + seam.thicknessesMm[1];
    caution(
      'brazed-lap-sum',
      message('plan.caution.brazed-lap', { sum: amount('shortLength', Number(sum.toFixed(2))) }),
      'note',
    );
  }
  if (Math.max(...seam.thicknessesMm) >= 10 && seam.materialGroup === 'steel') {
    caution('preheat-check', message('plan.caution.preheat', { thickness: amount('shortLength', 10) }));
  }
  if (mode === 'dip' && filler.family !== 'aluminium' && gasOf(gas).co2Pct > 50) {
    caution('soft-arc-in-co2', message('plan.caution.co2-shorts'), 'note');
  }
  if (mode === 'cored' && code !== 'steel-metal-cored') {
    caution('slag', hazard('plan.caution.slag'), 'hazard');
  }
  return warnings;
}

/** Gun angles that the bead will answer for. */
export function gunWarnings(
  joint: Joint,
  mode: PlanMode,
  filler: FillerCode,
  { workDeg, travelDeg }: GunAngles,
): Warning[] {
  const warnings: Warning[] = [];
  const makesSlag = filler === 'steel-flux-cored' || filler === 'steel-self-shielded';
  if (travelDeg < 0 && !makesSlag && mode !== 'dip') {
    warnings.push({
      code: 'drag-in-spray',
      level: 'caution',
      message: message('plan.caution.dragged'),
    });
  }
  if (jointRule(joint).isFillet && (workDeg < 30 || workDeg > 60)) {
    warnings.push({
      code: 'flat-fillet-angle',
      level: 'caution',
      message: message('plan.caution.work-angle', { work: amount('angle', workDeg, 0) }),
    });
  }
  return warnings;
}
