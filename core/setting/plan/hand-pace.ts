/** A plan for a hand whose pace was learned: its travel is the rule's times its factor, and the wire follows. */
import { amount, message, type Phrase } from '../../base/messages/index.ts';
import { planFigures } from './figures.ts';
import type { PlanInput } from './input.ts';
import type { HandPace } from './site.ts';

export interface PacedPlan {
  readonly factor: number;
  /** What the rule asks for without it. */
  readonly ruleTravelMmPerMin: number;
  readonly ruleFeedMPerMin: number;
}

/** The question with the hand's travel in it; as it was where no pace is known or the travel was typed. */
export function withHandPace(input: PlanInput): { readonly input: PlanInput; readonly paced: PacedPlan | null } {
  const { seam, site } = input;
  const { pace } = site;
  const ownIsKnown = pace !== null && seam.travelMmPerMin === undefined && Math.abs(pace.factor - 1) > 1e-6;
  if (!ownIsKnown) return { input, paced: null };
  const rule = planFigures({ ...input, site: { ...site, pace: null } });
  if (!rule.ok) return { input, paced: null };
  const { travelMmPerMin, wireFeedMPerMin } = rule.workings.figures;
  return {
    input: { ...input, seam: { ...seam, travelMmPerMin: travelMmPerMin * pace.factor } },
    paced: { factor: pace.factor, ruleTravelMmPerMin: travelMmPerMin, ruleFeedMPerMin: wireFeedMPerMin },
  };
}

/** Why travel and wire are not the rule's. */
export function paceWords(pace: HandPace, paced: PacedPlan, feedMPerMin: number): Phrase {
  return message('plan.because.welders-travel', {
    welder: pace.welder,
    factor: amount('plain', pace.factor, 2),
    seams: pace.seams,
    weight: amount('percent', 100 * pace.weight, 0),
    travel: amount('travel', paced.ruleTravelMmPerMin, 0),
    ruleFeed: amount('wireFeed', paced.ruleFeedMPerMin, 1),
    feed: amount('wireFeed', feedMPerMin, 1),
  });
}
