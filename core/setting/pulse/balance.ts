/** The melting balance of a pulsed wire, solved for whichever of its quantities is unknown. Rates in mm/s, currents in A, times in ms. */
import type { WireInGas } from '../../metal/arc/index.ts';
import { meltRateMmPerS } from '../../metal/melting/index.ts';
import { bracketedRoot } from '../../base/numeric/root.ts';
import { pulseMeans, type FastPulse } from './waveform.ts';

/** What the wire and the hand fix before the pulse is solved. */
export interface PulseSite {
  readonly wire: WireInGas;
  readonly extensionMm: number;
}

/** Wire melted by a waveform, mm/s. */
export function meltedByPulse(site: PulseSite, pulse: FastPulse): number {
  const { meanA, rmsA } = pulseMeans(pulse);
  return meltRateMmPerS(site.wire, meanA, rmsA, site.extensionMm);
}

/** The peak of a pulse, before background and frequency are known. */
export interface PulsePeak {
  readonly peakCurrentA: number;
  readonly peakTimeMs: number;
  readonly slewAPerMs: number;
  /** The most a machine gives; left out, nothing is assumed of it. */
  readonly limitA?: number | undefined;
}

/** Wire melted by the background alone, mm/s. */
function meltedAtRest({ wire, extensionMm }: PulseSite, backgroundA: number): number {
  return wire.arcMeltMmPerAs * backgroundA + wire.extensionMeltPerA2s * extensionMm * backgroundA * backgroundA;
}

/** Wire each pulse melts beyond that, mm; same sums as `pulseMeans`, without allocating, because plans ask thousands of times. */
function meltedPerPulse({ wire, extensionMm }: PulseSite, peak: PulsePeak, backgroundA: number): number {
  const rise = Math.min(peak.peakCurrentA - backgroundA, peak.slewAPerMs * peak.peakTimeMs);
  const area = rise * peak.peakTimeMs;
  const square = 2 * backgroundA * area + rise * rise * (peak.peakTimeMs - rise / peak.slewAPerMs / 3);
  return (wire.arcMeltMmPerAs * area + wire.extensionMeltPerA2s * extensionMm * square) / 1000;
}

/** Wire (mm/s) melted between pulses, and (mm) by each pulse on top: the waveform melts the one plus frequency times the other. */
export function meltingParts(site: PulseSite, peak: PulsePeak, backgroundA: number): readonly [number, number] {
  return [meltedAtRest(site, backgroundA), meltedPerPulse(site, peak, backgroundA)];
}

/** Frequency in Hz at which the waveform melts `rateMmPerS` (the balance is linear in it); negative when background alone melts more. */
export function balancingFrequency(site: PulseSite, peak: PulsePeak, backgroundA: number, rateMmPerS: number): number {
  return (rateMmPerS - meltedAtRest(site, backgroundA)) / meltedPerPulse(site, peak, backgroundA);
}

/** Background in A at which the waveform melts `rateMmPerS`, or undefined when it lies outside [low, high]. */
export function balancingBackground(
  site: PulseSite,
  peak: PulsePeak,
  frequencyHz: number,
  rateMmPerS: number,
  low: number,
  high: number,
): number | undefined {
  return bracketedRoot(
    (backgroundA) =>
      meltedAtRest(site, backgroundA) + frequencyHz * meltedPerPulse(site, peak, backgroundA) - rateMmPerS,
    low,
    high,
  );
}

/**
 * The value of `field` in [low, high] at which the waveform melts `rateMmPerS`; the relation rises with every field.
 * Returns undefined when the balance is not crossed inside the interval.
 */
export function balancingValue(
  site: PulseSite,
  pulse: FastPulse,
  field: 'peakCurrentA' | 'peakTimeMs',
  rateMmPerS: number,
  low: number,
  high: number,
): number | undefined {
  const probe = { ...pulse };
  return bracketedRoot(
    (value) => {
      probe[field] = value;
      return meltedByPulse(site, probe) - rateMmPerS;
    },
    low,
    high,
  );
}
