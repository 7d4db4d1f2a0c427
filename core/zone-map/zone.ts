/** Names for what the arc does at a place of the map, in the words a welder hears and sees. */
import { say, type Phrase } from '../said/index.ts';
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

export const zoneWords: Readonly<Record<Zone, { readonly name: Phrase; readonly symptom: Phrase }>> = {
  hum: { name: say('zone-map.hum'), symptom: say('zone-map.one-drop') },
  'many-drops': { name: say('zone-map.several-drops'), symptom: say('zone-map.streaming') },
  'big-drops': { name: say('zone-map.few-pulses-a-drop'), symptom: say('zone-map.large-drops') },
  crackle: { name: say('zone-map.crackle'), symptom: say('zone-map.pulse-shorts') },
  flutter: { name: say('zone-map.flutter'), symptom: say('zone-map.long-arc') },
  'steady-dip': { name: say('zone-map.even-frying'), symptom: say('zone-map.dip') },
  'rough-dip': { name: say('zone-map.rough-frying'), symptom: say('zone-map.violent-shorts-spatter') },
  globular: { name: say('zone-map.globular'), symptom: say('zone-map.globular-drops') },
  hiss: { name: say('zone-map.hiss'), symptom: say('zone-map.spray') },
  stubbing: { name: say('zone-map.stubbing'), symptom: say('zone-map.stubs') },
  'burn-back': { name: 'burn-back', symptom: say('zone-map.climbs') },
  impossible: { name: say('zone-map.not-possible'), symptom: say('zone-map.not-possible-why') },
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
