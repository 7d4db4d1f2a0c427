/** What a cause is: where it is looked for, how likely it is before anything was seen, what the arc's model and the table say that it brings. */
import type { Faults } from '../../machine/dials/index.ts';
import type { Program } from '../../setting/program/index.ts';
import type { Said } from '../../base/messages/index.ts';
import type { SymptomCode } from '../trial/index.ts';

export interface Cause {
  readonly name: Said;
  readonly kind: 'set' | 'hand' | 'set-up' | 'part';
  /** Causes that the evidence cannot tell apart are looked at together. */
  readonly family?: 'feeding' | 'circuit' | 'shielding';
  /** Assumed, for a shop that walks its set-up; moved by facts. */
  readonly prior: number;
  readonly opposite?: CauseCode;
  /** How the model shows it, at a size that a shop meets. */
  readonly model?: {
    readonly faults?: (program: Program) => Faults;
    readonly trimMm?: number;
    /** Travel found over travel planned. */
    readonly pace?: number;
    /** Metal that goes into a gap nobody reckoned with, mm. */
    readonly gapMm?: number;
    /** Longer leg over shorter, over what is usual; assumed, no arc shows it. */
    readonly legRatio?: number;
    /** Warmer than planned, °C. */
    readonly warmC?: number;
    /** Thickness found over thickness said. */
    readonly thickness?: number;
    /** Sizes that may be loaded instead: the one that fits what was measured counts. */
    readonly instead?: (program: Program) => readonly Faults[];
  };
  /** Chance that it brings a symptom that the arc's model does not show; assumed. */
  readonly odds: Partial<Record<SymptomCode, number>>;
  readonly look: { readonly words: Said; readonly minutes: number; readonly isolate?: true };
  /** Whether what is believed of it now is believed of the next weld: of a lead, not of a hand. */
  readonly stays: boolean;
}

export type CauseCode =
  | 'trim-low'
  | 'trim-high'
  | 'feed-low'
  | 'feed-high'
  | 'stiffness-off'
  | 'beat-off'
  | 'crater-short'
  | 'burn-back-short'
  | 'burn-back-long'
  | 'start-cold'
  | 'travel-slow'
  | 'travel-fast'
  | 'stick-out-long'
  | 'stick-out-short'
  | 'gun-angle'
  | 'drag'
  | 'wire-wrong'
  | 'size-wrong'
  | 'gas-wrong'
  | 'line-wrong'
  | 'tip-worn'
  | 'tip-loose'
  | 'tip-tight'
  | 'liner'
  | 'rolls'
  | 'slip'
  | 'lead-high'
  | 'return-poor'
  | 'polarity'
  | 'gas-low'
  | 'gas-high'
  | 'draught'
  | 'leak'
  | 'moisture'
  | 'surface'
  | 'gap'
  | 'fit'
  | 'tack-large'
  | 'plate-hot'
  | 'thinner'
  | 'coating';
