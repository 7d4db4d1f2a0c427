/**
 * What a practised hand would wish of a seam: the current that fuses the thickness, the pace a hand holds, the bead that suits.
 * All constants of these rules, once, as data; 29 of them were fitted, the others are limits (`notFitted`). Source: *fits* to general practice in short-circuit, pulse, spray and cored welding by hand;
 * docs/physics/plan.md prints how the plan stands when a group of jobs is left out and when every constant is jittered.
 */
import { amount, type Phrase, message, whether } from '../../base/messages/index.ts';
import type { FillerFamily, MaterialGroup } from '../../metal/consumables/index.ts';

/** Thickness: the heat is aimed at the thicker part, mildly, and a single pass asks for no more beyond a limit. */
export const thicknessRule = { mostRatio: 3, exponent: 0.15, mostMm: 8, mostVerticalUpMm: 5 } as const;

/** Current in A on a steel fillet: base x te^exponent, te in mm. */
export const currentRule = {
  baseA: 73,
  exponent: 0.64,
  /** By what is melted: brazing melts no sheet, but as much wire. */
  stainless: 0.9,
  aluminium: 0.85,
  cornerOrButt: 0.9,
  edge: 0.65,
  prepared: 0.82,
  outOfPosition: 0.75,
  /** Spray is asked for at least this far above its transition. */
  sprayAboveTransition: 1.08,
  /** A seam whose thickness asks for less than this share of that is too thin for it; assumed. */
  sprayLeastShare: 0.7,
} as const;

/** Travel in mm/min by hand on a fillet or lap. */
export const travelRule = {
  ferrous: 530,
  aluminium: 680,
  brazing: 600,
  prepared: 330,
  cornerOrDown: 1.15,
  overhead: 0.7,
  verticalUp: 0.45,
  verticalUpAluminium: 0.7,
  /** A square butt slows down by this share per mm of gap beyond half a millimetre. */
  perGapMm: 0.6,
  gapFromMm: 0.5,
} as const;

/** Size: leg of a fillet = base x t^exponent, t the thinner part in mm. */
export const sizeRule = {
  legBaseMm: 2.35,
  legExponent: 0.48,
  fluidWire: 1.12,
  verticalUp: 1.08,
  /** Outside corner: square x t² + linear x t. */
  cornerSquare: 0.5,
  cornerLinear: 1.3,
  /** Square butt: gap t + this many times the caps of the geometric rule. */
  squareButtCaps: 1.35,
  /** Prepared butt: cap of this height over the groove's width, mm; a pass lays no more than so much, mm². */
  capMm: 1.2,
  mostPassMm2: 25,
} as const;

/** Limits and assumptions among the numbers above, which the fit leaves alone. */
export const notFitted: ReadonlySet<string> = new Set(['mostRatio', 'edge', 'sprayLeastShare', 'gapFromMm']);

/** How far each wish gives way: free up to `free`, then by `spread`, as natural logarithms of value over wish. */
export interface Give {
  readonly free: number;
  readonly spread: number;
}
export const give = {
  current: { free: 0.05, spread: 0.1 },
  travel: { free: 0.1, spread: 0.15 },
  /** A welder's own pace is asked for as it is; its spread is what was learned of it, at least this. */
  ownPace: { free: 0, spread: 0.08 },
  fillet: { free: 0.1, spread: 0.2 },
  corner: { free: 0.1, spread: 0.25 },
  squareButt: { free: 0.1, spread: 0.5 },
} as const satisfies Record<string, Give>;

/** Pace of a hand on a fillet or lap by what is melted, mm/min. */
export function paceOf(family: FillerFamily): number {
  if (family === 'aluminium') return travelRule.aluminium;
  return family === 'copper-silicon' ? travelRule.brazing : travelRule.ferrous;
}

export type ThicknessRule = 'leaning' | 'thinner' | 'mean' | 'thicker';
/** Which thickness a shop counts; "leaning" is the rule the current was fitted with. */
export const thicknessRules: readonly { readonly rule: ThicknessRule; readonly words: Phrase }[] = [
  { rule: 'leaning', words: message('plan.because.thickness-weighted') },
  { rule: 'thinner', words: message('plan.the-thinner-part') },
  { rule: 'mean', words: message('plan.because.thickness-mean') },
  { rule: 'thicker', words: message('plan.the-thicker-part') },
];

export interface CountedThickness {
  readonly thicknessMm: number;
  readonly because: Phrase;
}

/** Thickness that sets the current, mm, and how it was found. */
export function thicknessThatCounts(
  [first, second]: readonly [number, number],
  isVerticalUp: boolean,
  rule: ThicknessRule,
): CountedThickness {
  const thinner = Math.min(first, second);
  const thicker = Math.max(first, second);
  const most = isVerticalUp ? thicknessRule.mostVerticalUpMm : thicknessRule.mostMm;
  const { value, words } = counted(thinner, thicker, rule);
  const thicknessMm = Math.min(value, most);
  return {
    thicknessMm,
    because:
      thicknessMm < value
        ? message('plan.because.pass-limit', {
            words,
            verticalUp: whether(isVerticalUp),
            most: amount('shortLength', most),
          })
        : words,
  };
}

function counted(thinner: number, thicker: number, rule: ThicknessRule): { value: number; words: Phrase } {
  switch (rule) {
    case 'thinner':
      return {
        value: thinner,
        words: message('plan.because.thickness-rule-thinner', { thinner: amount('shortLength', round(thinner)) }),
      };
    case 'thicker':
      return {
        value: thicker,
        words: message('plan.because.thickness-rule-thicker', { thicker: amount('shortLength', round(thicker)) }),
      };
    case 'mean': {
      const mean = Math.min((thinner + thicker) / 2, 2 * thinner);
      return {
        value: mean,
        words: message('plan.because.thickness-rule-mean', { mean: amount('shortLength', round(mean)) }),
      };
    }
    case 'leaning': {
      if (thicker === thinner)
        return {
          value: thinner,
          words: message('plan.both-parts', { thinner: amount('shortLength', round(thinner)) }),
        };
      const { mostRatio, exponent } = thicknessRule;
      const ratio = Math.min(thicker / thinner, mostRatio);
      const value = thinner * ratio ** exponent;
      return {
        value,
        words: message('plan.because.thickness-power', {
          thinner: amount('shortLength', round(thinner)),
          ratio: round(ratio),
          exponent,
          value: amount('shortLength', round(value)),
        }),
      };
    }
  }
}

/** Share of steel's current: the base metal's, unless a brazing wire leaves it solid. */
export function metalFactor(group: MaterialGroup, family: FillerFamily): { factor: number; name: Phrase } {
  if (family === 'copper-silicon') return { factor: 1, name: message('plan.brazing') };
  if (group === 'stainless') return { factor: currentRule.stainless, name: message('plan.stainless-word') };
  if (group === 'aluminium') return { factor: currentRule.aluminium, name: message('plan.aluminium') };
  return { factor: 1, name: message('plan.steel-word') };
}

function round(value: number): number {
  return Number(value.toFixed(2));
}
