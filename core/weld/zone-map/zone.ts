/** Names for what the arc does at a place of the map, in the words a welder hears and sees. */
import { message, type Phrase } from '../../base/messages/index.ts';
import type { PlanMode } from '../../setting/plan/index.ts';
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
  hum: { name: message('zone-map.hum'), symptom: message('zone-map.one-drop') },
  'many-drops': { name: message('zone-map.several-drops'), symptom: message('zone-map.streaming') },
  'big-drops': { name: message('zone-map.few-pulses-a-drop'), symptom: message('zone-map.large-drops') },
  crackle: { name: message('zone-map.crackle'), symptom: message('zone-map.pulse-shorts') },
  flutter: { name: message('zone-map.flutter'), symptom: message('zone-map.long-arc') },
  'steady-dip': { name: message('zone-map.even-frying'), symptom: message('zone-map.dip') },
  'rough-dip': { name: message('zone-map.rough-frying'), symptom: message('zone-map.violent-shorts-spatter') },
  globular: { name: message('zone-map.globular'), symptom: message('zone-map.globular-drops') },
  hiss: { name: message('zone-map.hiss'), symptom: message('zone-map.spray') },
  stubbing: { name: message('zone-map.stubbing'), symptom: message('zone-map.stubs') },
  'burn-back': { name: 'burn-back', symptom: message('zone-map.climbs') },
  impossible: { name: message('zone-map.not-possible'), symptom: message('zone-map.not-possible-why') },
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
