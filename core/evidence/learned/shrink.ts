/** A mean that believes a few readings a little and many fully: normal readings under a normal prior. */

export interface Prior {
  readonly mean: number;
  readonly sd: number;
}

export interface Reading {
  readonly value: number;
  /** Standard deviation of this one reading. */
  readonly sd: number;
}

export interface Shrunk {
  readonly mean: number;
  readonly sd: number;
  /** 0: the prior alone speaks; 1: the readings alone. */
  readonly weight: number;
}

/** Source: conjugate normal update with known variances; with equal ones weight = n tau² / (n tau² + sigma²). */
export function shrink(readings: readonly Reading[], prior: Prior): Shrunk {
  const precision = readings.reduce((sum, { sd }) => sum + 1 / sd ** 2, 0);
  if (precision === 0) return { ...prior, weight: 0 };
  const average = readings.reduce((sum, { value, sd }) => sum + value / sd ** 2, 0) / precision;
  const weight = (prior.sd ** 2 * precision) / (1 + prior.sd ** 2 * precision);
  return {
    mean: prior.mean + weight * (average - prior.mean),
    sd: prior.sd * Math.sqrt(1 - weight),
    weight,
  };
}
