/** Names for what the arc does at a place of the map, in the words a welder hears and sees. */
import type { PlanMode } from '../plan/index.ts';
import type { SimulationMetrics, TransferMode } from '../simulation/index.ts';

export const zones = [
  'hum',
  'many-drops',
  'big-drops',
  'crackle',
  'flutter',
  'steady-dip',
  'rough-dip',
  'globular',
  'hiss',
  'stubbing',
  'burn-back',
  'impossible',
] as const;
export type Zone = (typeof zones)[number];

export const zoneWords: Readonly<Record<Zone, { readonly name: string; readonly symptom: string }>> = {
  hum: { name: 'hum', symptom: 'one drop a pulse, steady hum' },
  'many-drops': { name: 'several drops a pulse', symptom: 'hot, fine drops behind each pulse' },
  'big-drops': { name: 'a drop every few pulses', symptom: 'large drops, uneven hum' },
  crackle: { name: 'crackle', symptom: 'the arc touches: crackling and spatter' },
  flutter: { name: 'flutter', symptom: 'long arc: flutter, wide wet bead' },
  'steady-dip': { name: 'even frying', symptom: 'regular shorts, little spatter' },
  'rough-dip': { name: 'rough frying', symptom: 'violent shorts, spatter' },
  globular: { name: 'globular', symptom: 'large unsteady drops, spatter' },
  hiss: { name: 'hiss', symptom: 'spray: fine drops, soft hiss' },
  stubbing: { name: 'stubbing', symptom: 'the wire pushes into the plate' },
  'burn-back': { name: 'burn-back', symptom: 'the arc climbs to the contact tip' },
  impossible: { name: 'not to be had', symptom: 'wire or machine cannot do it' },
};

/** Arc beyond the line from which a pulsed arc counts as too long, mm; assumed. */
const flutterBeyondMm = 2.5;
/** Frying is even while shorts are many and alike (the index of dip transfer) and spatter is low; assumed, chosen on steel 1.0 in argon with 18 % CO2. */
const evenDip = { regularity: 1, spatter: 7, shortsPerS: 35 } as const;

export function zoneOf(mode: PlanMode, transferMode: TransferMode, metrics: SimulationMetrics, lineMm: number): Zone {
  switch (transferMode) {
    case 'pulsed-one-drop':
      return metrics.meanArcLengthMm > lineMm + flutterBeyondMm ? 'flutter' : 'hum';
    case 'pulsed-multi-drop':
      return metrics.meanArcLengthMm > lineMm + flutterBeyondMm ? 'flutter' : 'many-drops';
    case 'pulsed-with-shorts':
      return 'crackle';
    case 'dip':
      if (mode === 'pulse' || mode === 'double-pulse') return 'crackle';
      return metrics.regularityIndex <= evenDip.regularity &&
        metrics.spatterIndex <= evenDip.spatter &&
        metrics.shortsPerS >= evenDip.shortsPerS
        ? 'steady-dip'
        : 'rough-dip';
    case 'globular':
      return mode === 'pulse' || mode === 'double-pulse' ? 'big-drops' : 'globular';
    case 'spray':
      return 'hiss';
    case 'stubbing':
      return 'stubbing';
    case 'burn-back':
      return 'burn-back';
  }
}

/** The zones a mode is meant to be welded in. */
export function goodZones(mode: PlanMode): readonly Zone[] {
  if (mode === 'dip') return ['steady-dip'];
  if (mode === 'spray') return ['hiss'];
  return ['hum'];
}
