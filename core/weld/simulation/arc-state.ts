/**
 * Everything that changes while the arc runs. One flat record of numbers, so that the loop copies it into locals and back,
 * and the same code serves the live view, the map and the tests.
 */
import type { RandomStream } from '../../base/numeric/random.ts';

/** What is between wire and plate. */
export const contact = {
  /** Nothing: the arc is not lit and the wire does not touch. */
  open: 0,
  /** An arc. */
  arc: 1,
  /** A liquid bridge. */
  liquid: 2,
  /** Solid wire on the plate. */
  solid: 3,
} as const;

export interface ArcState {
  timeS: number;
  currentA: number;
  /** At the contact tip. */
  voltageV: number;
  /** Solid wire from contact tip to its melting end, mm. */
  extensionMm: number;
  dropMm3: number;
  /** Detaching impulse, A² s. */
  impulseA2s: number;
  contact: number;
  /** Neck of the bridge, 1 whole .. 0 broken; or the share of the fuse impulse still missing. */
  neck: number;
  /** Wire pushed into a solid contact, mm. */
  pushedMm: number;
  /** Time with too little current to burn, s. */
  faintS: number;
  /** Contact tip to plate with tremor and pool, mm. */
  gapMm: number;
  /** How far the pool is pushed down by the last rupture, mm. */
  poolDipMm: number;
  poolDipMmPerS: number;
  /** Current as a drop feels it, averaged over milliseconds, A. */
  averageA: number;
  /** Wire feed as the drive really gives it, mm/s. */
  feedMmPerS: number;
  /** Phase within the pulse, s. */
  pulseS: number;
  periodS: number;
  /** Peak and background of the pulse that runs. */
  peakA: number;
  backgroundA: number;
  /** Frequency school: volt-seconds above the set-point not yet used up, V s. The others: sum of u dt over the pulse that runs, V s. */
  pulseVoltSeconds: number;
  /** Integral part of the arc-length controller. */
  correction: number;
  /** Relative impulse that the next drop needs, and relative time that the next neck takes. */
  dropNeed: number;
  neckNeed: number;
  shortFromS: number;
  random: RandomStream;
}
