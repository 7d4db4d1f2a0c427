/**
 * What shop, machine and welder bring to a plan beside the seam. It is complete: a plan cannot be asked without it, so nobody forgets the
 * shop's rule. Thickness rule and learned travel speed move the setting; leads, limits and calibration belong to one machine and leave the
 * setting alone, so that a seam has one setting whichever machine stands beside it.
 */
import { nominalCircuitMOhm, type CalibratedWire } from '../../metal/arc/index.ts';
import type { MachineLimits } from '../pulse/index.ts';
import { give, type ThicknessRule } from './wishes.ts';

/** Travel speed of a welder as it was learned from timed seams. */
export interface HandPace {
  /** Travel of the welder over the rule's. */
  readonly factor: number;
  /** How much of it is the welder's own timed seams, 0 to 1. */
  readonly weight: number;
  readonly seams: number;
  readonly welder: string;
}

export interface Site {
  /** Which thickness the shop counts. */
  readonly thicknessRule: ThicknessRule;
  /** Leads, gun and return clamp together, mΩ, as measured last. */
  readonly circuitMOhm: number;
  /** What the machine gives: rules transfer modes out; null: no machine was chosen. */
  readonly limits: MachineLimits | null;
  /** Wires calibrated on the machine: what it displays follows them. */
  readonly calibration: readonly CalibratedWire[];
  /** Learned travel speed of the welder it is made for; null: the rule's. */
  readonly pace: HandPace | null;
  /** Spread of the welder's own travel speed as learned, as a share. */
  readonly paceSpread: number;
}

/** No shop, no machine, no welder known: what a verb called without a site takes. */
export const standardSite: Site = {
  thicknessRule: 'leaning',
  circuitMOhm: nominalCircuitMOhm,
  limits: null,
  calibration: [],
  pace: null,
  paceSpread: give.ownPace.spread,
};

/** What is known of a site over the standard one. */
export type KnownSite = { readonly [K in keyof Site]?: Site[K] | undefined };

export function completeSite(known: KnownSite): Site {
  const given = Object.fromEntries(Object.entries(known).filter(([, value]) => value !== undefined));
  return { ...standardSite, ...given };
}

/** The same site without what was learned: "planned" in every ratio of found over planned, or a correction would cancel itself. */
export function withoutLearning(site: Site): Site {
  return { ...site, pace: null, paceSpread: standardSite.paceSpread };
}
