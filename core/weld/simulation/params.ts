/**
 * Constants of the dynamic arc that are not in the static model, as data. All assumed unless a source stands beside them:
 * chosen so that the behaviour listed in docs/physics/simulation.md emerges from the equations; listed in docs/limits.md.
 */

/** Integration step, s. */
export const defaultStepS = 10e-6;

export const arcDynamics = {
  /** Share of a pendant drop that stays on the wire when the rest leaves. */
  residualShare: 0.12,
  /** Share of D that detaches: a pulse made for one drop brings 0.93 of it with its flanks, and has to do it in every pulse. What goes over is lost. */
  detachShare: 0.82,
  /** Detaching impulse relaxes between pulses with this time, s: surface tension pulls the neck back. */
  impulseDecayS: 6e-3,
  /** A drop smaller than this share of a wire-diameter sphere cannot be pinched off. */
  smallestDropShare: 0.25,
  /** Largest pendant drop at no current, in wire diameters, falling to what the impulse makes of it at the transition current. */
  largestDropFactor: 2.6,
  /** A drop answers to the current averaged over this time, s. */
  dropAnswerS: 2e-3,
  /** How far a breaking bridge pushes the pool down, mm, and more per 100 A; and the spread of it, natural logarithm. */
  poolDipMm: 0.3,
  poolDipPer100AMm: 0.15,
  poolDipSpread: 0.6,
  /** Melting of the wire's end while a liquid bridge carries the current, as a share of what an arc of that current melts: the bridge heats itself. */
  bridgeMeltShare: 0.6,
  /** ... after which it swings, at this frequency at 1.2 mm, Hz (smaller wires have smaller pools), losing this share of critical damping. */
  poolSwingHz: 80,
  poolDamping: 0.15,
  /** Melt left on the wire by a contact that fused, as a share of a wire-diameter sphere. */
  fusedDropShare: 0.1,
  /** Lag of a wire drive, s. */
  driveLagS: 0.02,
  /** Neck of a short: time for surface tension alone to break it at 1.2 mm, s; grows with d^1.5 as a capillary time does. */
  neckTimeS: 5.5e-3,
  /** Neck of a short: current impulse that breaks it at 1.2 mm, as a share of the detachment constant. */
  neckImpulseShare: 0.8,
  /** Spread of what breaks a neck, natural logarithm: no two bridges are alike. */
  neckSpread: 0.25,
  /** A drop that leaves over less arc than this share of its diameter reaches the pool before it is free: a liquid bridge. */
  bridgingShare: 0.7,
  /** ... and it hangs this share of its diameter lower than a sphere while it necks. */
  neckingStretch: 0.35,
  /** CO2 holds the drop up and off: in pure CO2 the bridge is this much stouter than in argon mixes. */
  co2NeckExtra: 0.8,
  /** ... and the pool this much rougher. */
  co2PoolExtra: 2,
  /** Drop volume below which a touch is solid wire on plate, as a share of a wire-diameter sphere. */
  liquidTouchShare: 0.15,
  /** Impulse that fuses a cold wire end on the plate, as a share of the detachment constant. */
  fuseImpulseShare: 1.3,
  /** Wire pushed into the contact beyond this before it fuses breaks it further up, mm. */
  buckleMm: 0.4,
  /** Gap that a breaking contact leaves, mm. */
  fuseGapMm: 0.9,
  /** Current under which an arc goes out, A. */
  extinctionA: 6,
  /** Time below that current before it is out, s. */
  extinctionS: 1.5e-4,
  /** Voltage drop of a metallic bridge beside its resistance, V. */
  bridgeV: 0.8,
  /** Resistance of the bridge, Ω. */
  bridgeOhm: 0.006,
  /** Least extension that is still wire in front of the tip, mm. */
  shortestExtensionMm: 0.5,
} as const;

/** Hand tremor and pool waves, mm and Hz, as sums of sines with seeded phases. Assumed. */
export const disturbance = {
  tremor: [
    { mm: 0.22, hz: 0.7 },
    { mm: 0.14, hz: 1.9 },
    { mm: 0.09, hz: 4.3 },
  ],
  pool: [
    { mm: 0.1, hz: 27 },
    { mm: 0.06, hz: 61 },
  ],
  /** Relative spread of the impulse that detaches a drop. */
  dropSpread: 0.05,
} as const;

/** Power source limits and answers. Short-circuit ramp and slew by stiffness are given by the model. */
export const sourceLimits = {
  largestCurrentA: 620,
  /** Current a pulse source gives into a solid contact, A: enough to light, not to burst the wire. */
  ignitionA: 400,
  openCircuitV: 68,
} as const;

/** Arc-length controller of the pulse source, per volt of error and per volt-second. Assumed; slow against a pulse, quick against a hand. */
export const controller = {
  /**
   * Frequency school: the next pulse starts when the volt-seconds above the set-point are used up and the pulse is this far past its peak,
   * or so long after the last that the arc would go out. The balance is kept between these, so that a long fault is not paid back for ever.
   */
  frequency: { pastPeakS: 1e-3, pastPeakShare: 0.6, longestS: 1 / 15, leastVs: -0.012, mostVs: 0.06 },
  backgroundA: { gain: 14, integral: 140 },
  peakA: { gain: 22, integral: 200, share: 0.3 },
} as const;

/** Thresholds that name what happened; from the model's table of transfer modes. */
export const modeThresholds = {
  dipShortsPerS: 15,
  dipArcOnShare: 0.95,
  oneDrop: [0.75, 1.35] as readonly [number, number],
  pulsedShortsPerS: 3,
  stubbingArcOnShare: 0.5,
  burnBackExtensionMm: 3,
} as const;

/** Inductance of a constant-voltage source in µH by stiffness −10 (soft) .. +10 (stiff). */
export function inductanceUh(stiffness: number): number {
  return 180 * 2 ** (-stiffness / 4);
}

/** Ramp of the pulse source while shorted, A/ms, by stiffness. */
export function shortRampAPerMs(stiffness: number): number {
  return 120 * 2 ** (stiffness / 5);
}
