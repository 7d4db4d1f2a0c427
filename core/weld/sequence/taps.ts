/** Counting taps at rest: on machines that have it, so many short presses call a stored program. */
import { bounceS, longestTapS } from './state.ts';
import { type TriggerEvent, withoutBounces } from './play.ts';

export interface TapCall {
  readonly taps: number;
  /** Memory that so many taps call. */
  readonly slot: number;
}

/** Longest pause between two taps of one call, s. Assumed; machines differ. */
export const tapGapS = 0.5;

/** Calls made by events at rest: groups of short presses, each at most `tapGapS` after the last. A press that is held ends the counting. */
export function countTaps(events: readonly TriggerEvent[]): { readonly taps: number; readonly atS: number }[] {
  const calls: { taps: number; atS: number }[] = [];
  let pressedS: number | null = null;
  let open = null as { taps: number; atS: number } | null;
  for (const { action, atS } of withoutBounces(events)) {
    if (action === 'press') {
      if (open && atS - open.atS > tapGapS) {
        calls.push(open);
        open = null;
      }
      pressedS = atS;
      continue;
    }
    const lastedS = pressedS === null ? 0 : atS - pressedS;
    pressedS = null;
    if (lastedS > longestTapS) {
      // A weld, not a tap: what was counted before it is called off.
      open = null;
    } else if (lastedS >= bounceS - 1e-9) open = { taps: (open?.taps ?? 0) + 1, atS };
  }
  if (open && pressedS === null) calls.push(open);
  return calls;
}
