/**
 * How a machine's dials stand: the last known value of each, from what, by whom and when. The one answer to that question: set-up, card, the view
 * at the machine, shift, run plan and the check before the arc all read it.
 */
import { own } from '../../base/record/index.ts';

/** What a value is known from. */
export const dialSources = [
  'entered',
  'set-up',
  'slot-called',
  'slot-read',
  'put-back',
  'ticked',
  'trial',
  'logged-weld',
] as const;
export type DialSource = (typeof dialSources)[number];

/** One observation that says how dials stood. */
export interface DialEvidence {
  readonly source: DialSource;
  /** ISO moment at which they stood so. */
  readonly at: string;
  readonly by: string;
  readonly dials: Readonly<Record<string, number>>;
  /** Memory slot it was called from, or that was read; null: none; left out: it says nothing of slots. */
  readonly slot?: number | null | undefined;
}

export interface KnownDial {
  readonly value: number;
  readonly source: DialSource;
  readonly by: string;
  readonly at: string;
}

export interface KnownDials {
  readonly dials: Readonly<Record<string, KnownDial>>;
  /** Slot the machine was last called from; null: nobody knows. */
  readonly slot: number | null;
}

/** Sources that leave the machine on the slot it was called from: a value read or turned while it stays there. */
const ofTheSlot: ReadonlySet<DialSource> = new Set(['slot-read', 'put-back']);

/** In any order; of two at one moment the later in the list counts. */
export function knownDials(evidence: readonly DialEvidence[]): KnownDials {
  const dials = new Map<string, KnownDial>();
  let slot: number | null = null;
  const inTime = evidence
    .map((one, place) => ({ one, place }))
    .sort((a, b) => Date.parse(a.one.at) - Date.parse(b.one.at) || a.place - b.place);
  for (const { one } of inTime) {
    // Another slot was read than the one that stands in front: it says what that slot holds, not how the machine stands.
    if (ofTheSlot.has(one.source) && one.slot !== slot) continue;
    if (one.slot !== undefined) slot = one.slot;
    const { source, by, at } = one;
    for (const [id, value] of Object.entries(one.dials)) dials.set(id, { value, source, by, at });
  }
  return { dials: Object.fromEntries(dials), slot };
}

/** The newest of what is known, for a line that says from when and whom it is; null where nothing is. */
export function newestKnown({ dials }: Pick<KnownDials, 'dials'>): KnownDial | null {
  return Object.values(dials).reduce<KnownDial | null>(
    (newest, one) => (newest === null || Date.parse(one.at) > Date.parse(newest.at) ? one : newest),
    null,
  );
}

/** Whether a dial is known to stand at a value; unknown is no. */
export function standsAt(dials: Readonly<Record<string, number>>, id: string, value: number): boolean {
  const now = own(dials, id);
  return now !== undefined && Math.abs(now - value) < sameValue;
}
/** Values are kept as typed and computed to a step: what is left is rounding. */
const sameValue = 1e-9;
