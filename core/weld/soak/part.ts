/** A part that takes up heat: what the seams on it ask of it, whatever its outline. */
import type { Metal, Place } from './shapes.ts';

/** An arc on a straight line of one face. */
export interface Source {
  readonly at: Place;
  /** mm/s along and across the face. */
  readonly velocity: readonly [number, number];
  readonly powerW: number;
}

/** Rise above the surroundings, K, as it stands at one moment. */
export interface PartField {
  /** Waits, while the arcs run on along their lines. */
  advance(seconds: number, sources?: readonly Source[]): void;
  riseAt(place: Place): number;
  copy(): PartField;
}

/** A source and its own past. */
export interface Recent {
  /** Where the source was at the moment asked about, or would be had it gone on. */
  readonly now: Place;
  readonly velocity: readonly [number, number];
  readonly powerW: number;
  /** It burned between so many seconds ago. */
  readonly fromAgoS: number;
  readonly toAgoS: number;
}

export interface Part extends Metal {
  /** Heat younger than this is not yet resolved by the field and is asked of `recentRise` instead, s. */
  readonly settledS: number;
  field(): PartField;
  recentRise(recent: Recent, place: Place): number;
  /** The metal at a place for an arc's own field, mm: its rise there is that of an endless sheet of this thickness. */
  sheetMmAt(place: Place): number;
  /** The field at an arc holds that arc's own near field; a bar's mean over its section does not. */
  readonly holdsOwn: boolean;
}
