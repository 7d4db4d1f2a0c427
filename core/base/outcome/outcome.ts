/** The three error channels of the core: bad input is a list of issues, a numerical dead end is one of them with a reason, a bug throws. */

import type { Phrase } from '../messages/index.ts';
import type { IssueCode } from './codes.ts';

/** One thing wrong with an input, said so that a person can mend it. */
export interface Issue {
  /** Dotted path of the field, for instance `seam.gapMm`; empty for the whole input. */
  readonly path: string;
  /** Stable; the table says what its limit is. */
  readonly code: IssueCode;
  /** One sentence for the person at the bench: what is wrong, the limit and the value. */
  readonly message: Phrase;
  /** The limit that was passed, where there is one. */
  readonly limit?: number | string | readonly (number | string)[] | undefined;
  /** What was given. */
  readonly got?: unknown;
  /** The nearest way out. */
  readonly hint?: Phrase | undefined;
}

/** A value, or every reason why there is none. */
export type Outcome<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly issues: readonly Issue[] };

export function success<T>(value: T): Outcome<T> {
  return { ok: true, value };
}

export function failure(...issues: readonly Issue[]): Outcome<never> {
  return { ok: false, issues };
}

/** Said beside a result that stands: the setting is usable, but the welder should know this. */
export interface Warning {
  readonly code: Phrase;
  readonly message: Phrase;
  /** `hazard`: can hurt somebody; `caution`: can cost the part; `note`: worth knowing. */
  readonly level: 'hazard' | 'caution' | 'note';
}
