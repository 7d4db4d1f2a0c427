/**
 * Reference pulse of a wire: the peak that detaches one drop. I^2 t = D with an exponent close to 2 (Allum; Amin); the values at 1.2 mm are *fits*.
 * D scales with (d/1.2)^2.5 and the peak current with (d/1.2)^0.8, so the peak time scales with (d/1.2)^0.9.
 */
import type { WireInGas } from '../../metal/arc/index.ts';
import type { FillerFamily } from '../../metal/consumables/index.ts';

export interface PulseReference {
  /** A² s. */
  readonly detachmentA2s: number;
  readonly peakCurrentA: number;
  readonly peakTimeMs: number;
}

const at12: Record<FillerFamily, PulseReference> = {
  steel: { detachmentA2s: 400, peakCurrentA: 450, peakTimeMs: 1.98 },
  stainless: { detachmentA2s: 370, peakCurrentA: 420, peakTimeMs: 2.1 },
  aluminium: { detachmentA2s: 140, peakCurrentA: 300, peakTimeMs: 1.56 },
  'copper-silicon': { detachmentA2s: 220, peakCurrentA: 340, peakTimeMs: 1.9 },
};

/** The reference pulse of a wire: A² s, A, ms. */
export function pulseReference(wire: WireInGas): PulseReference {
  const row = at12[wire.family];
  const size = wire.diameterMm / 1.2;
  return {
    detachmentA2s: row.detachmentA2s * size ** 2.5 * wire.nudges.detachment,
    peakCurrentA: row.peakCurrentA * size ** 0.8,
    peakTimeMs: row.peakTimeMs * size ** 0.9 * wire.nudges.detachment,
  };
}
