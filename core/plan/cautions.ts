/** Hazards where they arise, and cautions a plan should carry: said with the setting, never instead of it. */
import { fillerOf, gasOf, type FillerCode } from '../consumables/index.ts';
import type { Warning } from '../outcome/index.ts';
import type { GunAngles } from './gun-angles.ts';
import type { PlanInput } from './input.ts';
import { jointRule, type Joint } from './joints.ts';
import type { PlanMode } from './mode.ts';
import { widestGapMm } from './practice.ts';

/** Fume, rays and coating by metal and wire; the usual workshop cautions, deferring to local rules. */
export function hazardWarnings({ seam, filler: code }: PlanInput): Warning[] {
  const warnings: Warning[] = [];
  const hazard = (warningCode: string, message: string) =>
    warnings.push({ code: warningCode, level: 'hazard', message });
  if (seam.materialGroup === 'aluminium') {
    hazard(
      'ultraviolet-ozone',
      'Aluminium under argon gives stronger ultraviolet and ozone: darker shade, skin covered, screens up, extraction on.',
    );
  }
  if (seam.materialGroup === 'stainless') {
    hazard(
      'hexavalent-chromium',
      'Stainless fume holds hexavalent chromium and nickel: extraction at the seam, and breathing protection where your rules ask for it.',
    );
  }
  if (seam.materialGroup === 'galvanised') {
    hazard(
      'zinc-fume',
      'Zinc coating boils off as fume: extraction at the seam, keep your head out of the plume, take the coating off where it may be.',
    );
  }
  if (fillerOf(code).family === 'copper-silicon') {
    hazard('copper-fume', 'Brazing wire gives copper fume: extraction at the seam.');
  }
  return warnings;
}

/** What joint, position and wire choice ask the welder to watch. */
export function seamWarnings(input: PlanInput): Warning[] {
  const { seam, filler: code, gas, mode } = input;
  const warnings: Warning[] = [];
  const caution = (warningCode: string, message: string, level: Warning['level'] = 'caution') =>
    warnings.push({ code: warningCode, level, message });
  const thinner = Math.min(...seam.thicknessesMm);
  const filler = fillerOf(code);
  const limit = widestGapMm(thinner);
  if (seam.gapMm > limit) {
    caution(
      'gap-too-wide',
      `A gap of ${seam.gapMm} mm is over ${limit.toFixed(1)} mm (half the thinner part plus 1 mm): refitting is cheaper than filling.`,
    );
  }
  if (seam.position === 'PG') {
    caution(
      'vertical-down-fusion',
      'Vertical down runs ahead of its own arc: thin sheet only, and check fusion on a cut-open scrap piece.',
    );
  }
  if (seam.position === 'PD' || seam.position === 'PE') {
    caution('overhead', 'Overhead: sparks and metal fall on you; cover neck, ears and cuffs.', 'hazard');
  }
  if (
    (seam.position === 'PB' || seam.position === 'PD') &&
    (seam.joint === 'butt' || seam.joint === 'corner-outside' || seam.joint === 'edge')
  ) {
    caution(
      'position-for-fillets',
      `${seam.position} is a fillet position; for this joint ${seam.position === 'PB' ? 'PA or PC' : 'PE'} is meant.`,
      'note',
    );
  }
  if (filler.family === 'stainless' && code !== 'stainless-309l' && seam.materialGroup === 'steel') {
    caution(
      'dissimilar-filler',
      'Stainless wire on steel dilutes into a hard seam; take 309L type, and only where a procedure asks for it.',
    );
  }
  if (filler.family === 'steel' && seam.materialGroup === 'galvanised') {
    caution(
      'zinc-porosity',
      'Steel wire melts the coated sheet: zinc boils into the seam as pores and spatter. Brazing wire keeps the sheet solid.',
    );
  }
  if (filler.family === 'copper-silicon' && seam.joint === 'lap') {
    const sum = seam.thicknessesMm[0] + seam.thicknessesMm[1];
    caution(
      'brazed-lap-sum',
      `Brazed lap: both sheets together are ${Number(sum.toFixed(2))} mm; strength comes from the overlap, not from melting them.`,
      'note',
    );
  }
  if (Math.max(...seam.thicknessesMm) >= 10 && seam.materialGroup === 'steel') {
    caution('preheat-check', 'From 10 mm on, steel may need preheat: follow the qualified procedure for this seam.');
  }
  if (mode === 'dip' && filler.family !== 'aluminium' && gasOf(gas).co2Pct > 50) {
    caution(
      'soft-arc-in-co2',
      'In CO₂ the shorts are hard: set the arc soft (more inductance), or it spatters and the bead stands up.',
      'note',
    );
  }
  if (mode === 'cored' && code !== 'steel-metal-cored') {
    caution(
      'slag',
      'Slag flies when it is chipped: eye protection under the hood, and chip before the next pass.',
      'hazard',
    );
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
      message: 'Dragged, the metal of spray and pulse piles up behind the arc and loses its gas: push.',
    });
  }
  if (jointRule(joint).isFillet && (workDeg < 30 || workDeg > 60)) {
    warnings.push({
      code: 'flat-fillet-angle',
      level: 'caution',
      message: `At ${Math.round(workDeg)}° the fillet leans on one plate: unequal legs, undercut on the other. 40 to 50° lays it even.`,
    });
  }
  return warnings;
}
