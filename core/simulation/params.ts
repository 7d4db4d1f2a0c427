/**
 * Constants of the dynamic arc that are not in the static model, as data. All assumed unless a source stands beside them:
 * chosen so that the behaviour listed in docs/physics/simulation.md emerges from the equations; listed in docs/limits.md.
 */

/** Integration step, s. */
export const defaultStepS = 10e-6;

export const arcDynamics = {
  /** Share of a pendant drop that stays on the wire when the rest leaves. */
  residualShare: 0.12,
  /** Share of D (1 − (Ic/Ip)²) that detaches: a pulse made for one drop has to do it with its flanks, and in every pulse. */
  detachShare: 0.78,
  /** Detaching impulse relaxes between pulses with this time, s: surface tension pulls the neck back. */
  impulseDecayS: 6e-3,
  /** A drop smaller than this share of a wire-diameter sphere cannot be pinched off. */
  smallestDropShare: 0.25,
  /** Largest pendant drop at no current, in wire diameters, falling to 1 at the transition current. */
  largestDropFactor: 2.6,
  /** A drop answers to the current averaged over this time, s. */
  dropAnswerS: 2e-3,
  /** How far a breaking bridge pushes the pool down, mm, and more per 100 A. */
  poolDipMm: 0.5,
  poolDipPer100AMm: 0.25,
  /** The pool swings back within this time, s. */
  poolReturnS: 1.2e-2,
  /** Melt left on the wire by a contact that fused, as a share of a wire-diameter sphere. */
  fusedDropShare: 0.1,
  /** Lag of a wire drive, s. */
  driveLagS: 0.02,
  /** Neck of a short: time for surface tension alone to break it at 1.2 mm, s; grows with d^1.5 as a capillary time does. */
  neckTimeS: 3.6e-3,
  /** Neck of a short: current impulse that breaks it at 1.2 mm, as a share of the detachment constant. */
  neckImpulseShare: 0.5,
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
  frequency: { gain: 0.16, integral: 1.6, low: -0.6, high: 0.7 },
  backgroundA: { gain: 14, integral: 140 },
  peakA: { gain: 22, integral: 200, share: 0.3 },
} as const;

/** Thresholds that name what happened; from the model's table of transfer modes. */
export const modeThresholds = {
  dipShortsPerS: 15,
  dipArcOnShare: 0.95,
  oneDrop: [0.75, 1.35] as readonly [number, number],
  pulsedShortsPerS: 3,
  globularDropFactor: 1.6,
  sprayDropFactor: 1.3,
  stubbingArcOnShare: 0.5,
  burnBackExtensionMm: 3,
} as const;

/** Inductance of a constant-voltage source in µH by stiffness −10 (soft) .. +10 (stiff). */
export function inductanceUh(stiffness: number): number {
  return 300 * 2 ** (-stiffness / 4);
}

/** Ramp of the pulse source while shorted, A/ms, by stiffness. */
export function shortRampAPerMs(stiffness: number): number {
  return 120 * 2 ** (stiffness / 5);
}
