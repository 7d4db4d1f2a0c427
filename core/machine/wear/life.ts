/**
 * What a part lasts in this shop, from its own replacements: worn out, or taken off while still good (which says "at least so long"). A rule until there
 * is one, a mean with the rule's weight until there are five worn out, then a Weibull distribution by maximum likelihood with right-censored ends
 * (Nelson, Applied Life Data Analysis, 1982).
 */
import { bracketedRoot } from '../../base/numeric/root.ts';

export interface PartEnd {
  /** Use at its end, in its unit. */
  readonly used: number;
  /** False: taken off while still good. */
  readonly isWorn: boolean;
}

export interface Life {
  readonly expected: number;
  /** One in ten is gone by then. */
  readonly low: number;
  /** One in ten is still good. */
  readonly high: number;
  readonly by: 'rule' | 'mean' | 'weibull';
  /** Ends it stands on. */
  readonly n: number;
}

/** Worn-out ends from which a distribution is fitted. */
const fittedFrom = 5;
/** The rule's band, as shares of its figure. */
const ruleBand = [0.5, 2] as const;
/** Ends that the rule is worth. */
const ruleWeight = 1;
/** Shapes outside this are no wear; 1 would be chance alone. */
const shapes = [0.4, 12] as const;

export function lifeOf(usual: number, ends: readonly PartEnd[]): Life {
  const whole = ends.filter(({ used }) => used > 0);
  const worn = whole.filter(({ isWorn }) => isWorn);
  if (worn.length >= fittedFrom) return weibull(whole);
  if (worn.length === 0)
    return { expected: usual, low: usual * ruleBand[0], high: usual * ruleBand[1], by: 'rule', n: 0 };
  // With few, time on test over failures, which counts what was taken off early for what it lasted.
  const onTest = whole.reduce((sum, { used }) => sum + used, 0);
  const expected = (onTest + ruleWeight * usual) / (worn.length + ruleWeight);
  // Between the rule's width and a spread of half, as the ends grow.
  const share = 1 / Math.sqrt(worn.length + ruleWeight);
  return {
    expected,
    low: expected * (1 - 0.7 * share),
    high: expected * (1 + 1.4 * share),
    by: 'mean',
    n: whole.length,
  };
}

function weibull(ends: readonly PartEnd[]): Life {
  const worn = ends.filter(({ isWorn }) => isWorn);
  const largest = Math.max(...ends.map(({ used }) => used));
  // Scaled, so that powers stay in range.
  const at = ends.map(({ used }) => used / largest);
  const meanLog = worn.reduce((sum, { used }) => sum + Math.log(used / largest), 0) / worn.length;
  const slope = (shape: number) => {
    let [powers, logs] = [0, 0];
    for (const value of at) {
      const power = value ** shape;
      powers += power;
      logs += power * Math.log(value);
    }
    return logs / powers - 1 / shape - meanLog;
  };
  const shape = bracketedRoot(slope, shapes[0], shapes[1]) ?? (slope(shapes[1]) < 0 ? shapes[1] : shapes[0]);
  const scale = (at.reduce((sum, value) => sum + value ** shape, 0) / worn.length) ** (1 / shape) * largest;
  return {
    expected: scale * gamma(1 + 1 / shape),
    low: scale * (-Math.log(0.9)) ** (1 / shape),
    high: scale * (-Math.log(0.1)) ** (1 / shape),
    by: 'weibull',
    n: ends.length,
  };
}

/** Γ(x) for 1 ≤ x ≤ 4 by Lanczos' series, to 1e-10 (Numerical Recipes, 6.1). */
function gamma(x: number): number {
  const series = [
    76.180091729471, -86.505320329417, 24.014098240831, -1.2317395724502, 1.2086509738662e-3, -5.395239384953e-6,
  ];
  const shifted = x + 4.5;
  const sum = series.reduce((total, term, at) => total + term / (x + at), 1.00000000019);
  return shifted ** (x - 0.5) * Math.exp(-shifted) * 2.506628274631 * sum;
}

export type Due = 'fine' | 'soon' | 'due';

/** Due at the expected life, soon from where one in ten is gone. */
export function dueOf(used: number, { expected, low }: Life): Due {
  return used >= expected ? 'due' : used >= low ? 'soon' : 'fine';
}
