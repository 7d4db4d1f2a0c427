/** Base material groups and the fillers that belong on them. */
import { message, type Phrase } from '../../base/messages/index.ts';
import type { GaugedMetal } from '../../base/units/index.ts';
import type { FillerFamily } from './fillers.ts';

export type MaterialGroup = 'steel' | 'stainless' | 'aluminium' | 'galvanised';

export interface Material {
  readonly group: MaterialGroup;
  readonly name: Phrase;
  readonly gaugeTable: GaugedMetal;
  /** Filler families that make a sound joint on it; anything else is refused. */
  readonly families: readonly FillerFamily[];
}

export const materials: readonly Material[] = [
  {
    group: 'steel',
    name: message('consumables.steel'),
    gaugeTable: 'steel',
    families: ['steel', 'copper-silicon', 'stainless'],
  },
  {
    group: 'stainless',
    name: message('consumables.stainless'),
    gaugeTable: 'stainless',
    families: ['stainless', 'copper-silicon'],
  },
  { group: 'aluminium', name: message('consumables.aluminium'), gaugeTable: 'aluminium', families: ['aluminium'] },
  {
    group: 'galvanised',
    name: message('consumables.galvanised-steel'),
    gaugeTable: 'galvanised',
    families: ['copper-silicon', 'steel'],
  },
];

export const materialGroups: readonly MaterialGroup[] = materials.map((material) => material.group);

export function materialOf(group: MaterialGroup): Material {
  const material = materials.find((candidate) => candidate.group === group);
  if (!material) throw new Error(`unknown material group ${group}`);
  return material;
}
