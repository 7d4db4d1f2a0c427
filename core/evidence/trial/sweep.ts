/** One plate, one bead, the trim moved step by step: from the card down to the first crackle, back, and up to the arc that is too long. */

export interface SweepStep {
  readonly index: number;
  /** Against the card, mm; minus is shorter. */
  readonly byMm: number;
  readonly dialSteps: number;
  /** Marks along the plate, mm from its beginning, and when the hand passes them, s. */
  readonly fromMm: number;
  readonly toMm: number;
  readonly fromS: number;
  readonly toS: number;
  readonly leg: 'down' | 'up';
}

export interface SweepPlan {
  readonly steps: readonly SweepStep[];
  readonly lengthMm: number;
  readonly secondsPerStep: number;
  readonly stride: number;
}

export interface SweepQuestion {
  /** One step of the dial, mm of arc, and how many of them are turned at once. */
  readonly stepMm: number;
  readonly stride?: number;
  readonly down: number;
  readonly up: number;
  readonly travelMmPerMin: number;
  /** Bead laid at each step, mm: long enough to settle and to be judged. */
  readonly mmPerStep: number;
}

export function sweepPlan({ stepMm, stride = 1, down, up, travelMmPerMin, mmPerStep }: SweepQuestion): SweepPlan {
  const secondsPerStep = (60 * mmPerStep) / travelMmPerMin;
  const dial = [
    ...Array.from({ length: down + 1 }, (_, at) => ({ dialSteps: at === 0 ? 0 : -at * stride, leg: 'down' as const })),
    ...Array.from({ length: up + 1 }, (_, at) => ({ dialSteps: at * stride, leg: 'up' as const })),
  ];
  return {
    steps: dial.map(({ dialSteps, leg }, index) => ({
      index,
      dialSteps,
      leg,
      byMm: dialSteps * stepMm,
      fromMm: index * mmPerStep,
      toMm: (index + 1) * mmPerStep,
      fromS: index * secondsPerStep,
      toS: (index + 1) * secondsPerStep,
    })),
    lengthMm: dial.length * mmPerStep,
    secondsPerStep,
    stride,
  };
}

/** Dial steps turned at once, so that a mark is a change that is seen: about 0.35 mm of arc (assumed). */
export function usualStride(stepMm: number): number {
  return Math.max(Math.round(0.35 / stepMm), 1);
}

/** The step that is being welded at a moment; undefined once the sweep is over. */
export function stepAt({ steps }: SweepPlan, seconds: number): SweepStep | undefined {
  return steps.find(({ fromS, toS }) => seconds >= fromS && seconds < toS);
}

export interface SweepBand {
  /** Shortest and longest arc that were good, mm against the card. */
  readonly lowMm: number;
  readonly highMm: number;
  readonly middleMm: number;
  readonly middleSteps: number;
  /** No crackle, or no long arc, was met: the band may go on. */
  readonly isOpenBelow: boolean;
  readonly isOpenAbove: boolean;
}

/** Crackle and long arc as the steps at which they were first noticed; null where neither came. */
export function sweepBand(plan: SweepPlan, crackleAt: number | null, longAt: number | null): SweepBand {
  const stepMm = plan.steps.reduce((found, { byMm, dialSteps }) => (dialSteps === 0 ? found : byMm / dialSteps), 0);
  const downs = plan.steps.filter(({ leg }) => leg === 'down');
  const ups = plan.steps.filter(({ leg }) => leg === 'up');
  const least = Math.min(...downs.map(({ dialSteps }) => dialSteps));
  const most = Math.max(...ups.map(({ dialSteps }) => dialSteps));
  const crackle = plan.steps.find(({ index }) => index === crackleAt)?.dialSteps;
  const long = plan.steps.find(({ index }) => index === longAt)?.dialSteps;
  const low = crackle === undefined ? least : crackle + plan.stride;
  const high = long === undefined ? most : long - plan.stride;
  // Plus nought, so that there is no minus nought.
  const middleSteps = Math.round((low + high) / 2) + 0;
  return {
    lowMm: low * stepMm,
    highMm: high * stepMm,
    middleMm: middleSteps * stepMm,
    middleSteps,
    isOpenBelow: crackle === undefined,
    isOpenAbove: long === undefined,
  };
}
