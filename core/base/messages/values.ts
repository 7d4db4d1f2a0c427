/** What can stand in a sentence of the core. */
import type { QuantityName } from '../units/quantities.ts';

/** A number with what it measures, in the stored unit of its kind. */
export interface Amount {
  readonly kind: QuantityName;
  readonly value: number;
  /** Digits after the point in the stored unit; as many as were given where it is left out. */
  readonly digits?: number;
  /** Said without its unit, because the one after it carries it: "2 to 5 m/min". */
  readonly bare?: true;
  /** Said with its sign, also where it is positive: how far one thing is from another. */
  readonly signed?: true;
}

/** A name, a bare number, an amount, something said in turn, or a row of these. */
export type SaidValue = string | number | Amount | Said | readonly SaidValue[];

export interface Said {
  readonly code: string;
  readonly values: Readonly<Record<string, SaidValue>>;
}

/** Something said, or a name that is the same in every language: a machine's label, what somebody typed. */
export type Phrase = string | Said;
