/** The usual workshop cautions where they arise in a set-up, and the short list before the first arc of a day. Local rules come first. */
import { fillerOf } from '../consumables/index.ts';
import type { MaterialGroup } from '../consumables/index.ts';
import type { PlanMode } from '../plan/index.ts';
import type { Warning } from '../outcome/index.ts';
import type { StepKind } from './step-kinds.ts';
import type { FeederState, NeededSetup } from './state.ts';

export function stepCautions(kind: StepKind, feeder: FeederState | undefined, needed: NeededSetup): Warning[] {
  const hazard = (code: string, message: string): Warning => ({ code, level: 'hazard', message });
  switch (kind) {
    case 'polarity':
    case 'process':
      return [hazard('isolate', 'Isolate before touching terminals; dry gloves; no lead coiled round the body.')];
    case 'gas': {
      const cautions = [
        hazard(
          'cylinder',
          'Cylinder chained and capped when moved; stand aside of the valve; regulator free of oil and grease.',
        ),
      ];
      if (needed.gas !== 'none') {
        cautions.push(
          hazard(
            'asphyxiation',
            'Argon and CO₂ push the air out of pits, tanks and small rooms: ventilate, try for leaks before and after.',
          ),
        );
      }
      if (needed.gas === 'C1') {
        cautions.push({
          code: 'co2-draw',
          level: 'caution',
          message: 'CO₂ drawn fast frosts the regulator: use a heated one, keep to its flow.',
        });
      }
      return cautions;
    }
    case 'wire':
    case 'tension':
      return [
        hazard(
          'wire-end',
          'A feeding wire pierces: end away from face, hands and bystanders; it is live while the trigger is pressed.',
        ),
      ];
    case 'rolls':
    case 'liner':
      return [hazard('gears', 'Off at the source before fingers go near rolls and gears.')];
    case 'tip':
    case 'recess':
      return feeder && fillerOf(feeder.filler).family === 'aluminium'
        ? [{ code: 'hot-tip', level: 'caution', message: 'Tip and nozzle stay hot long after pulse on aluminium.' }]
        : [];
    default:
      return [];
  }
}

/** Ticks before the first arc of the day, by metal, coating and mode. */
export function firstArcList(material: MaterialGroup, mode: PlanMode): string[] {
  const bright = material === 'aluminium' || mode === 'spray' || mode === 'pulse' || mode === 'double-pulse';
  return [
    bright
      ? 'Helmet at the darker shade for this brightness, neck and wrists covered, screens closed for others'
      : 'Helmet at the usual shade, neck and wrists covered',
    'Ears plugged: sparks and noise',
    ...fumeLine(material),
    'Dry gloves, closed shoes, no lighter or cleaner in the pockets; nobody with a pacemaker near without their doctor’s word',
    'Return clamp on bright metal at the part, cables whole and not coiled',
    'Fire watch: nothing that burns within reach of sparks, extinguisher at hand',
    'Cylinder chained, leak test done',
  ];
}

function fumeLine(material: MaterialGroup): string[] {
  switch (material) {
    case 'stainless':
      return ['Extraction at the seam: stainless fume holds hexavalent chromium and nickel'];
    case 'aluminium':
      return ['Extraction at the seam: ozone and aluminium fume; no chlorinated cleaner near'];
    case 'galvanised':
      return ['Extraction at the seam, head out of the plume: zinc fume'];
    case 'steel':
      return ['Extraction on, head out of the plume'];
  }
}
