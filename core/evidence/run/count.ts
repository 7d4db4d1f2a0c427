/** Parts that are done, from seams that were logged one by one: a part counts when each of its seams was welded once more. */

export interface SeamCount {
  readonly seamId: string;
  /** Records of this seam for the order that may be counted. */
  readonly welded: number;
  /** Of those, how many went into parts that were counted already. */
  readonly counted: number;
  /** Records of this seam that wait for a lead hand. */
  readonly held: number;
}

/** Whole parts that stand ready to be counted. */
export function partsReady(seams: readonly SeamCount[]): number {
  if (seams.length === 0) return 0;
  return Math.max(Math.min(...seams.map(({ welded, counted }) => welded - counted)), 0);
}

export interface NotCounted {
  readonly seamId: string;
  /** `held`: a weld waits for a lead hand; `unlogged`: none was logged where this order's welds are. */
  readonly why: 'held' | 'unlogged';
  /** Welds that are not there. */
  readonly missing: number;
}

/**
 * Seams that keep `parts` from being counted at once. An order none of whose welds was ever logged counts freely: there the parts are
 * counted, not the welds.
 */
export function notCounted(seams: readonly SeamCount[], parts: number): NotCounted[] {
  const isLogged = seams.some(({ welded, held }) => welded + held > 0);
  if (!isLogged) return [];
  return seams.flatMap(({ seamId, welded, counted, held }) => {
    const missing = parts - Math.max(welded - counted, 0);
    return missing <= 0 ? [] : [{ seamId, why: held > 0 ? ('held' as const) : ('unlogged' as const), missing }];
  });
}

/** How many of `parts` counted at once take a logged weld of each seam; the rest was never logged and still has to be drawn from stock. */
export function taken(seams: readonly SeamCount[], parts: number): Record<string, number> {
  return Object.fromEntries(
    seams.flatMap(({ seamId, welded, counted }) => {
      const ahead = Math.min(Math.max(welded - counted, 0), parts);
      return ahead > 0 ? [[seamId, ahead]] : [];
    }),
  );
}
