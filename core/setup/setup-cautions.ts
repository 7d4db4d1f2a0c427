/** The usual workshop cautions where they arise in a set-up, and the short list before the first arc of a day. Local rules come first. */
import { hazard, type Phrase, type Said, say } from '../said/index.ts';
import { fillerOf } from '../consumables/index.ts';
import type { MaterialGroup } from '../consumables/index.ts';
import type { PlanMode } from '../plan/index.ts';
import type { Warning } from '../outcome/index.ts';
import type { StepKind } from './step-kinds.ts';
import type { FeederState, NeededSetup } from './state.ts';

export function stepCautions(kind: StepKind, feeder: FeederState | undefined, needed: NeededSetup): Warning[] {
  const danger = (code: string, message: Phrase): Warning => ({ code, level: 'hazard', message });
  switch (kind) {
    case 'polarity':
    case 'process':
      return [
        danger('isolate', hazard('setup.isolate-before-touching-terminals-dry')),
        { code: 'mains-adapter', level: 'caution', message: hazard('setup.mains-adapters') },
      ];
    case 'gas': {
      const cautions = [danger('cylinder', hazard('setup.cylinder-chained-and-capped-when'))];
      if (needed.gas !== 'none') {
        cautions.push(danger('asphyxiation', hazard('setup.argon-and-co2-push-the')));
        cautions.push({ code: 'portable-bottle', level: 'caution', message: hazard('setup.portable-bottle') });
      }
      if (needed.gas === 'C1') {
        cautions.push({
          code: 'co2-draw',
          level: 'caution',
          message: say('setup.co2-drawn-fast-frosts-the'),
        });
      }
      return cautions;
    }
    case 'wire':
      return [
        danger('wire-end', hazard('setup.a-feeding-wire-pierces-end')),
        { code: 'lifting', level: 'caution', message: hazard('setup.a-full-spool-is-heavy') },
      ];
    case 'tension':
      return [danger('wire-end', hazard('setup.a-feeding-wire-pierces-end'))];
    case 'rolls':
    case 'liner':
      return [danger('gears', hazard('setup.off-at-the-source-before'))];
    case 'clean':
      return [danger('brush-ends', hazard('setup.brush-and-grinder-throw'))];
    case 'tip':
    case 'recess':
      return [
        ...(feeder && fillerOf(feeder.filler).family === 'aluminium'
          ? [{ code: 'hot-tip', level: 'caution', message: hazard('setup.tip-and-nozzle-stay-hot') } as const]
          : []),
        { code: 'nozzle-product', level: 'caution', message: hazard('setup.nozzle-products-burn-off') },
      ];
    default:
      return [];
  }
}

/** Ticks before the first arc of the day, by metal, coating and mode. */
export function firstArcList(material: MaterialGroup, mode: PlanMode): Said[] {
  const bright = material === 'aluminium' || mode === 'spray' || mode === 'pulse' || mode === 'double-pulse';
  return [
    bright ? hazard('setup.helmet-at-the-darker-shade') : hazard('setup.helmet-at-the-usual-shade'),
    hazard('setup.ears-plugged-sparks-and-noise'),
    ...(mode === 'cored' ? [hazard('setup.cored-wires-smoke-more')] : fumeLine(material)),
    hazard('setup.dry-gloves-closed-shoes-no'),
    hazard('setup.return-clamp-on-bright-metal'),
    hazard('setup.fire-watch-nothing-that-burns'),
    hazard('setup.cylinder-chained-leak-test-done'),
  ];
}

function fumeLine(material: MaterialGroup): Said[] {
  switch (material) {
    case 'stainless':
      return [hazard('setup.extraction-at-the-seam-stainless')];
    case 'aluminium':
      return [hazard('setup.extraction-at-the-seam-ozone')];
    case 'galvanised':
      return [hazard('setup.extraction-at-the-seam-head')];
    case 'steel':
      return [hazard('setup.extraction-on-head-out-of')];
  }
}
