/** The usual workshop cautions where they arise in a set-up, and the short list before the first arc of a day. Local rules come first. */
import { hazard, type Phrase, type Said, message } from '../../base/messages/index.ts';
import { fillerOf, type MaterialGroup } from '../../metal/consumables/index.ts';
import type { PlanMode } from '../../setting/plan/index.ts';
import type { Warning } from '../../base/outcome/index.ts';
import type { StepKind } from './step-kinds.ts';
import type { FeederState, NeededSetup } from './state.ts';

export function stepCautions(kind: StepKind, feeder: FeederState | undefined, needed: NeededSetup): Warning[] {
  const danger = (code: string, message: Phrase): Warning => ({ code, level: 'hazard', message });
  switch (kind) {
    case 'polarity':
    case 'process':
      return [
        danger('isolate', hazard('setup.caution.isolate')),
        { code: 'mains-adapter', level: 'caution', message: hazard('setup.mains-adapters') },
      ];
    case 'gas': {
      const cautions = [danger('cylinder', hazard('setup.caution.cylinder'))];
      if (needed.gas !== 'none') {
        cautions.push(danger('asphyxiation', hazard('setup.caution.asphyxia')));
        cautions.push({ code: 'portable-bottle', level: 'caution', message: hazard('setup.portable-bottle') });
      }
      if (needed.gas === 'C1') {
        cautions.push({
          code: 'co2-draw',
          level: 'caution',
          message: message('setup.caution.co2-regulator'),
        });
      }
      return cautions;
    }
    case 'wire':
      return [
        danger('wire-end', hazard('setup.caution.feeding-wire')),
        { code: 'lifting', level: 'caution', message: hazard('setup.wire.heavy-spool') },
      ];
    case 'tension':
      return [danger('wire-end', hazard('setup.caution.feeding-wire'))];
    case 'rolls':
    case 'liner':
      return [danger('gears', hazard('setup.caution.rolls'))];
    case 'clean':
      return [danger('brush-ends', hazard('setup.cleaning.brush'))];
    case 'tip':
    case 'recess':
      return [
        ...(feeder && fillerOf(feeder.filler).family === 'aluminium'
          ? [{ code: 'hot-tip', level: 'caution', message: hazard('setup.caution.hot-tip') } as const]
          : []),
        { code: 'nozzle-product', level: 'caution', message: hazard('setup.cleaning.nozzle-products') },
      ];
    default:
      return [];
  }
}

/** Ticks before the first arc of the day, by metal, coating and mode. */
export function firstArcList(material: MaterialGroup, mode: PlanMode): Said[] {
  const bright = material === 'aluminium' || mode === 'spray' || mode === 'pulse' || mode === 'double-pulse';
  return [
    bright ? hazard('setup.first-arc.helmet-darker') : hazard('setup.first-arc.helmet'),
    hazard('setup.first-arc.hearing'),
    ...(mode === 'cored' ? [hazard('setup.first-arc.fume-cored')] : fumeLine(material)),
    hazard('setup.first-arc.clothing'),
    hazard('setup.first-arc.return-clamp'),
    hazard('setup.first-arc.fire-watch'),
    hazard('setup.first-arc.cylinder'),
  ];
}

function fumeLine(material: MaterialGroup): Said[] {
  switch (material) {
    case 'stainless':
      return [hazard('setup.first-arc.fume-stainless')];
    case 'aluminium':
      return [hazard('setup.first-arc.fume-aluminium')];
    case 'galvanised':
      return [hazard('setup.first-arc.fume-zinc')];
    case 'steel':
      return [hazard('setup.first-arc.fume')];
  }
}
