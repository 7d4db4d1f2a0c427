/**
 * Common base material grades by group. Compositions of the steels are typical ladle values, percent by mass, well inside their standards'
 * limits; a carbon equivalent for a real seam belongs to the mill certificate. Sources: EN 10025-2, EN 10305-5, EN 10346, EN 10088-1, EN 573-3.
 */
import { say, amount, bare, type Phrase } from '../said/index.ts';
import type { MaterialGroup } from './materials.ts';

export interface Grade {
  readonly code: string;
  /** Other names of the same metal. */
  readonly alias: string;
  readonly group: MaterialGroup;
  /** Only where a carbon equivalent needs it. */
  readonly composition?: {
    readonly C: number;
    readonly Mn: number;
    readonly Mo: number;
    readonly Cr: number;
    readonly Cu: number;
    readonly Ni: number;
  };
  /** What a welder should know about it. */
  readonly note: Phrase;
}

export const grades: readonly Grade[] = [
  {
    code: 'S235JR',
    alias: '1.0038',
    group: 'steel',
    composition: { C: 0.12, Mn: 0.9, Mo: 0.01, Cr: 0.05, Cu: 0.1, Ni: 0.05 },
    note: say('consumables.plain-structural-steel'),
  },
  {
    code: 'S355J2',
    alias: '1.0577',
    group: 'steel',
    composition: { C: 0.16, Mn: 1.4, Mo: 0.02, Cr: 0.1, Cu: 0.1, Ni: 0.1 },
    note: say('consumables.structural-steel-preheat-from-thick'),
  },
  {
    code: 'E235',
    alias: '1.0308, tube',
    group: 'steel',
    composition: { C: 0.12, Mn: 0.7, Mo: 0.01, Cr: 0.05, Cu: 0.1, Ni: 0.05 },
    note: say('consumables.precision-tube'),
  },
  {
    code: 'DC01',
    alias: '1.0330, sheet',
    group: 'steel',
    composition: { C: 0.06, Mn: 0.3, Mo: 0.01, Cr: 0.03, Cu: 0.05, Ni: 0.03 },
    note: say('consumables.cold-rolled-sheet'),
  },
  {
    code: 'DX51D+Z275',
    alias: 'hot-dip galvanised sheet',
    group: 'galvanised',
    note: say('consumables.zinc-boils-at-braze-or', { temperature907: amount('temperature', 907) }),
  },
  { code: '304L', alias: '1.4307', group: 'stainless', note: say('consumables.filler-308l-type') },
  { code: '316L', alias: '1.4404', group: 'stainless', note: say('consumables.filler-316l-type') },
  {
    code: '430',
    alias: '1.4016',
    group: 'stainless',
    note: say('consumables.ferritic-little-heat-grain-grows'),
  },
  {
    code: '5754',
    alias: 'AlMg3',
    group: 'aluminium',
    note: say('consumables.filler-almg5-hold-interpass-at', {
      temperature100From: bare('temperature', 100),
      temperature120: amount('temperature', 120),
    }),
  },
  { code: '5083', alias: 'AlMg4.5Mn', group: 'aluminium', note: say('consumables.filler-almg5-never-alsi5-brittle') },
  {
    code: '6082',
    alias: 'AlSi1MgMn',
    group: 'aluminium',
    note: say('consumables.alsi5-flows-and-resists-cracking'),
  },
  { code: '6060', alias: 'AlMgSi, extrusion', group: 'aluminium', note: say('consumables.as-6082') },
];
