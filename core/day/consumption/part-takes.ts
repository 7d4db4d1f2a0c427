/** Wire, gas and arc time of one part as its plan had them: what is stored with a revision, so that a later model does not rewrite it. */
import { thousandth } from '../../base/units/convert.ts';
export interface PartTakes {
  /** Over all passes. */
  readonly arcSeconds: number;
  /** Every pass is a start with its gas before and after. */
  readonly passes: number;
  readonly wireKg: number;
  readonly gasL: number;
}

export function partTakes(plan: {
  readonly arcSeconds: number;
  readonly passes: number;
  readonly wireGrams: number;
  readonly gasLitres: number;
}): PartTakes {
  return {
    arcSeconds: plan.arcSeconds,
    passes: plan.passes,
    wireKg: thousandth(plan.wireGrams),
    gasL: plan.gasLitres,
  };
}
