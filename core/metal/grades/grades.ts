/**
 * Common base material grades by group. Compositions of the steels are typical ladle values, percent by mass, well inside their standards'
 * limits; a carbon equivalent for a real seam belongs to the mill certificate. Sources: EN 10025-2, EN 10305-5, EN 10346, EN 10088-1, EN 573-3.
 */
import { message, amount, bare, type Phrase } from '../../base/messages/index.ts';
import type { FillerCode } from '../consumables/fillers.ts';
import type { MaterialGroup } from '../consumables/materials.ts';

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
  /** Words that name it in a free text, beside its code. */
  readonly names: readonly string[];
  /** Fillers that are meant for it, the first choice first; empty: any of the metal's. */
  readonly fillers: readonly FillerCode[];
  /** What never goes into it, and why. */
  readonly refused?: {
    readonly fillers: readonly FillerCode[];
    readonly why: 'consumables.grade.brittle-phase';
  };
  /** What is said of a filler that is not meant for it; left out: that another one is. With no filler of its own, said of every one. */
  readonly otherwise?: GradeSentence;
  /** What a welder should know about it. */
  readonly note: Phrase;
}

type GradeSentence =
  | 'consumables.grade.usual-filler'
  | 'consumables.lacks-its-molybdenum'
  | 'consumables.grade.zinc-pores'
  | 'consumables.grade.duplex'
  | 'consumables.grade.softer'
  | 'consumables.weakens-magnesium-plate';

export const grades: readonly Grade[] = [
  {
    code: 'S235',
    alias: 'S235JR, 1.0038',
    group: 'steel',
    composition: { C: 0.12, Mn: 0.9, Mo: 0.01, Cr: 0.05, Cu: 0.1, Ni: 0.05 },
    names: ['S235JR', 'S235J0', 'S235J2', '1.0038'],
    fillers: ['steel-solid', 'steel-metal-cored', 'steel-flux-cored', 'steel-self-shielded'],
    note: message('consumables.plain-structural-steel'),
  },
  {
    code: 'S355',
    alias: 'S355J2, 1.0577',
    group: 'steel',
    composition: { C: 0.16, Mn: 1.4, Mo: 0.02, Cr: 0.1, Cu: 0.1, Ni: 0.1 },
    names: ['S355J2', 'S355JR', 'S355MC', 'S355NL', '1.0577'],
    fillers: ['steel-solid', 'steel-metal-cored', 'steel-flux-cored', 'steel-self-shielded'],
    note: message('consumables.grade-note.structural'),
  },
  {
    code: 'S700MC',
    alias: '1.8974',
    group: 'steel',
    composition: { C: 0.06, Mn: 1.8, Mo: 0.1, Cr: 0.05, Cu: 0.05, Ni: 0.05 },
    names: ['1.8974', 'S650MC', 'S690QL'],
    fillers: [],
    otherwise: 'consumables.grade.softer',
    note: message('consumables.grade-note.high-strength'),
  },
  {
    code: 'E235',
    alias: '1.0308',
    group: 'steel',
    composition: { C: 0.12, Mn: 0.7, Mo: 0.01, Cr: 0.05, Cu: 0.1, Ni: 0.05 },
    names: ['1.0308'],
    fillers: ['steel-solid', 'steel-metal-cored', 'steel-flux-cored', 'steel-self-shielded'],
    note: message('consumables.precision-tube'),
  },
  {
    code: 'DC01',
    alias: '1.0330',
    group: 'steel',
    composition: { C: 0.06, Mn: 0.3, Mo: 0.01, Cr: 0.03, Cu: 0.05, Ni: 0.03 },
    names: ['1.0330'],
    fillers: ['steel-solid', 'steel-metal-cored', 'steel-flux-cored', 'steel-self-shielded'],
    note: message('consumables.cold-rolled-sheet'),
  },
  {
    code: 'DX51D+Z275',
    alias: '1.0226+Z',
    group: 'galvanised',
    names: ['DX51D', 'Z275', 'Z140', 'Z100', 'galvanised'],
    fillers: ['cusi3'],
    otherwise: 'consumables.grade.zinc-pores',
    note: message('consumables.grade-note.zinc-coated', { boilingPoint: amount('temperature', 907) }),
  },
  {
    code: '304L',
    alias: '1.4307',
    group: 'stainless',
    names: ['1.4307', '304', '1.4301'],
    fillers: ['stainless-308l', 'stainless-316l', 'stainless-309l'],
    note: message('consumables.filler-308l-type'),
  },
  {
    code: '316L',
    alias: '1.4404',
    group: 'stainless',
    names: ['1.4404', '316', '1.4401', '316Ti', '1.4571'],
    fillers: ['stainless-316l'],
    otherwise: 'consumables.lacks-its-molybdenum',
    note: message('consumables.filler-316l-type'),
  },
  {
    code: '2205',
    alias: '1.4462',
    group: 'stainless',
    names: ['1.4462', 'duplex'],
    fillers: ['stainless-309l'],
    otherwise: 'consumables.grade.duplex',
    note: message('consumables.duplex-little-heat'),
  },
  {
    code: '430',
    alias: '1.4016',
    group: 'stainless',
    names: ['1.4016'],
    fillers: ['stainless-309l', 'stainless-308l'],
    note: message('consumables.grade-note.ferritic'),
  },
  {
    code: '5754',
    alias: 'AlMg3',
    group: 'aluminium',
    names: ['AlMg3', 'EN AW-5754'],
    fillers: ['aluminium-5356'],
    otherwise: 'consumables.weakens-magnesium-plate',
    note: message('consumables.grade-note.5xxx', {
      lowest: bare('temperature', 100),
      highest: amount('temperature', 120),
    }),
  },
  {
    code: '5083',
    alias: 'AlMg4.5Mn',
    group: 'aluminium',
    names: ['AlMg4.5Mn', 'EN AW-5083'],
    fillers: ['aluminium-5356'],
    refused: { fillers: ['aluminium-4043'], why: 'consumables.grade.brittle-phase' },
    note: message('consumables.grade-note.5xxx-high'),
  },
  {
    code: '6082-T6',
    alias: 'AlSi1MgMn',
    group: 'aluminium',
    names: ['6082', 'AlSi1MgMn', 'EN AW-6082'],
    fillers: ['aluminium-4043', 'aluminium-5356'],
    note: message('consumables.grade-note.6xxx'),
  },
  {
    code: '6060',
    alias: 'AlMgSi',
    group: 'aluminium',
    names: ['AlMgSi', '6063', 'EN AW-6060'],
    fillers: ['aluminium-4043', 'aluminium-5356'],
    note: message('consumables.grade-note.like-6082'),
  },
];
