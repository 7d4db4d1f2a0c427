/** What may be wrong, as data: how likely before anything was seen, what it brings, how the model can show it, and where one looks for it. */
import type { Cause, CauseCode } from '../cause.ts';
import { handCauses } from './hand.ts';
import { partCauses } from './part.ts';
import { setUpCauses } from './set-up.ts';
import { setCauses } from './set.ts';

export type { CauseCode } from '../cause.ts';

export const causes: Readonly<Record<CauseCode, Cause>> = {
  ...setCauses,
  ...handCauses,
  ...setUpCauses,
  ...partCauses,
};

export const causeCodes = Object.keys(causes) as CauseCode[];
