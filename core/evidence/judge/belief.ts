/**
 * Which causes fit what was seen and measured: exact over none, every single cause and every pair that can be together. Nothing is sampled, so that
 * the same evidence always says the same.
 */

/** What one cause does; measures in the units of the evidence. */
export interface CauseEffect {
  readonly code: string;
  /** Chance that it is there before anything was looked at. */
  readonly prior: number;
  /** Causes that cannot be there beside it: too long and too short. */
  readonly opposites?: readonly string[];
  /** By how much it moves a measured figure; what is left out it does not move. */
  readonly shifts: Readonly<Record<string, number>>;
  /** Chance that it brings a symptom; what is left out it does not bring. */
  readonly odds: Readonly<Record<string, number>>;
}

export interface Evidence {
  /** Absent: nobody looked, which says nothing. */
  readonly symptoms: Readonly<Record<string, 'yes' | 'no'>>;
  /** Found less predicted. */
  readonly measured: Readonly<Record<string, number>>;
}

export interface Noise {
  /** Chance of a symptom without any of the causes. */
  readonly leaks: Readonly<Record<string, number>>;
  /** Spread of a measured figure about what is predicted. */
  readonly sigmas: Readonly<Record<string, number>>;
  /** Share of its shift by which a cause is stronger or weaker than the one that was computed. */
  readonly strengthSpread?: number;
}

export interface Suspect {
  /** Codes of a set: none, one or two. */
  readonly codes: readonly string[];
  readonly probability: number;
}

export interface Belief {
  /** Every set, likeliest first; probabilities add to 1. */
  readonly sets: readonly Suspect[];
  /** Chance that a cause is there, alone or with another. */
  readonly marginal: ReadonlyMap<string, number>;
  readonly none: number;
}

export const usualLeak = 0.03;

/** Source: Bayes over explicit sets; symptoms by leaky noisy-or, measured figures normal with shifts that add. */
export function believe(causes: readonly CauseEffect[], evidence: Evidence, noise: Noise): Belief {
  const allAbsent = causes.reduce((sum, { prior }) => sum + Math.log1p(-prior), 0);
  const sets = setsOf(causes);
  const logs = sets.map(
    (set) =>
      allAbsent +
      set.reduce((sum, { prior }) => sum + Math.log(prior) - Math.log1p(-prior), 0) +
      logLikelihood(set, evidence, noise),
  );
  const highest = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - highest));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const marginal = new Map(causes.map(({ code }) => [code, 0]));
  const suspects = sets.map((set, at) => {
    const probability = (weights[at] ?? 0) / total;
    for (const { code } of set) marginal.set(code, (marginal.get(code) ?? 0) + probability);
    return { codes: set.map(({ code }) => code), probability };
  });
  return {
    sets: suspects.sort((a, b) => b.probability - a.probability),
    marginal,
    none: suspects.find(({ codes }) => codes.length === 0)?.probability ?? 0,
  };
}

/** Chance that somebody who looks sees the symptom, given the set. */
export function symptomChance(set: readonly CauseEffect[], symptom: string, { leaks }: Noise): number {
  const missed = set.reduce((product, { odds }) => product * (1 - (odds[symptom] ?? 0)), 1);
  return 1 - (1 - (leaks[symptom] ?? usualLeak)) * missed;
}

function logLikelihood(set: readonly CauseEffect[], { symptoms, measured }: Evidence, noise: Noise): number {
  let log = 0;
  for (const [symptom, seen] of Object.entries(symptoms)) {
    const yes = symptomChance(set, symptom, noise);
    log += Math.log(seen === 'yes' ? yes : 1 - yes);
  }
  for (const [measure, value] of Object.entries(measured)) {
    const each = set.map(({ shifts }) => shifts[measure] ?? 0);
    const shift = each.reduce((sum, one) => sum + one, 0);
    const strength = (noise.strengthSpread ?? 0) * Math.hypot(...each);
    const spread = Math.hypot(noise.sigmas[measure] ?? 1, strength);
    log -= ((value - shift) / spread) ** 2 / 2 + Math.log(spread);
  }
  return log;
}

function setsOf(causes: readonly CauseEffect[]): (readonly CauseEffect[])[] {
  const sets: (readonly CauseEffect[])[] = [[]];
  causes.forEach((one, at) => {
    sets.push([one]);
    for (const other of causes.slice(at + 1)) {
      if (!one.opposites?.includes(other.code) && !other.opposites?.includes(one.code)) sets.push([one, other]);
    }
  });
  return sets;
}
