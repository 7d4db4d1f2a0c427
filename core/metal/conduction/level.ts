/**
 * What a warm part leaves of the level that was tuned on a cold one, in one place: taper along a seam and seams on a part ask it alike.
 * Source: the design's law, power in proportion to what is left to melting.
 */

/** A hand or a trigger holds levels between these; beyond them it is not the same arc, percent. */
export const levelLimits = [60, 105] as const;
/** A level nearer to main than this is main, percent. */
export const worthPercent = 4;
/** How far before the arc a part's warmth is felt, mm. */
export const aheadMm = 6;

/** Percent of main: (melting - base) / (melting - trial), held between the limits. Temperatures in °C; `baseC` is without the arc's own field. */
export function levelFor(baseC: number, meltsAtC: number, trialC: number): number {
  const [least, most] = levelLimits;
  return Math.min(Math.max((100 * (meltsAtC - baseC)) / (meltsAtC - trialC), least), most);
}
