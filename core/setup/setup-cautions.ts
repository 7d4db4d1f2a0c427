/** The usual workshop cautions where they arise in a set-up, and the short list before the first arc of a day. Local rules come first. */
import { say, type Phrase, type Said } from '../said/index.ts';
import { fillerOf } from '../consumables/index.ts';
import type { MaterialGroup } from '../consumables/index.ts';
import type { PlanMode } from '../plan/index.ts';
import type { Warning } from '../outcome/index.ts';
import type { StepKind } from './step-kinds.ts';
import type { FeederState, NeededSetup } from './state.ts';

export function stepCautions(kind: StepKind, feeder: FeederState | undefined, needed: NeededSetup): Warning[] {
  const hazard = (code: string, message: Phrase): Warning => ({ code, level: 'hazard', message });
  switch (kind) {
    case 'polarity':
    case 'process':
      return [
        hazard('isolate', say('setup.isolate-before-touching-terminals-dry')),
        { code: 'mains-adapter', level: 'caution', message: say('setup.mains-adapters') },
      ];
    case 'gas': {
      const cautions = [hazard('cylinder', say('setup.cylinder-chained-and-capped-when'))];
      if (needed.gas !== 'none') {
        cautions.push(hazard('asphyxiation', say('setup.argon-and-co2-push-the')));
        cautions.push({ code: 'portable-bottle', level: 'caution', message: say('setup.portable-bottle') });
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
        hazard('wire-end', say('setup.a-feeding-wire-pierces-end')),
        { code: 'lifting', level: 'caution', message: say('setup.a-full-spool-is-heavy') },
      ];
    case 'tension':
      return [hazard('wire-end', say('setup.a-feeding-wire-pierces-end'))];
    case 'rolls':
    case 'liner':
      return [hazard('gears', say('setup.off-at-the-source-before'))];
    case 'clean':
      return [hazard('brush-ends', say('setup.brush-and-grinder-throw'))];
    case 'tip':
    case 'recess':
      return [
        ...(feeder && fillerOf(feeder.filler).family === 'aluminium'
          ? [{ code: 'hot-tip', level: 'caution', message: say('setup.tip-and-nozzle-stay-hot') } as const]
          : []),
        { code: 'nozzle-product', level: 'caution', message: say('setup.nozzle-products-burn-off') },
      ];
    default:
      return [];
  }
}

/** Ticks before the first arc of the day, by metal, coating and mode. */
export function firstArcList(material: MaterialGroup, mode: PlanMode): Said[] {
  const bright = material === 'aluminium' || mode === 'spray' || mode === 'pulse' || mode === 'double-pulse';
  return [
    bright ? say('setup.helmet-at-the-darker-shade') : say('setup.helmet-at-the-usual-shade'),
    say('setup.ears-plugged-sparks-and-noise'),
    ...(mode === 'cored' ? [say('setup.cored-wires-smoke-more')] : fumeLine(material)),
    say('setup.dry-gloves-closed-shoes-no'),
    say('setup.return-clamp-on-bright-metal'),
    say('setup.fire-watch-nothing-that-burns'),
    say('setup.cylinder-chained-leak-test-done'),
  ];
}

function fumeLine(material: MaterialGroup): Said[] {
  switch (material) {
    case 'stainless':
      return [say('setup.extraction-at-the-seam-stainless')];
    case 'aluminium':
      return [say('setup.extraction-at-the-seam-ozone')];
    case 'galvanised':
      return [say('setup.extraction-at-the-seam-head')];
    case 'steel':
      return [say('setup.extraction-on-head-out-of')];
  }
}
