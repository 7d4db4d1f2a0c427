/**
 * Six weeks of trials of the invented shop, the oldest first: which seam, on which machine, by whom, and what was wrong that day. What was seen and
 * measured is made on the stand-in, so that records and physics agree.
 */
import type { HiddenFaultCode } from '@fox-tempo/core/weld/stand-in';

export interface DemoTrial {
  readonly daysAgo: number;
  readonly seamId: string;
  readonly machineId: string;
  readonly welder: string;
  readonly faults: readonly HiddenFaultCode[];
  readonly note?: string;
  readonly plateC?: number;
}

const teo = 'teo-varnholt';
const runa = 'runa-felswick';
const bastian = 'bastian-oxmere';
const odile = 'odile-trennaby';

const weld = (
  daysAgo: number,
  seamId: string,
  machineId: string,
  welder: string,
  faults: readonly HiddenFaultCode[] = [],
  more: { readonly note?: string; readonly plateC?: number } = {},
): DemoTrial => ({ daysAgo, seamId, machineId, welder, faults, ...more });

export const demoTrials: readonly DemoTrial[] = [
  // The axle plate found, then held.
  weld(42, 'axle-plate-to-tube', 'rowan', teo, ['trim-low'], { note: 'first coupon' }),
  weld(42, 'axle-plate-to-tube', 'rowan', teo, [], { note: 'arc a step longer' }),
  weld(42, 'axle-plate-to-tube', 'rowan', teo),
  weld(41, 'axle-plate-to-tube', 'rowan', teo),
  weld(40, 'frame-corner-butt', 'rowan', runa),
  weld(40, 'frame-corner-butt', 'rowan', runa, ['gap'], { note: 'mitre cut open' }),
  weld(39, 'frame-corner-butt', 'rowan', runa),
  // Thin stainless that showed through while the part was warm.
  weld(38, 'sink-flange-lap', 'hazel', bastian, ['plate-hot'], { note: 'third lap in a row, no pause' }),
  weld(38, 'sink-flange-lap', 'hazel', bastian, ['plate-hot', 'travel-slow']),
  weld(37, 'sink-flange-lap', 'hazel', bastian, [], { note: 'let it cool to hand warm' }),
  weld(37, 'sink-flange-lap', 'hazel', bastian),
  weld(36, 'counter-corner', 'hazel', bastian),
  weld(36, 'counter-corner', 'hazel', runa, ['draught'], { note: 'hall door open' }),
  weld(35, 'counter-corner', 'hazel', runa),
  // The hitch bracket, and a clamp that went bad.
  weld(34, 'hitch-bracket-fillet', 'rowan', teo),
  weld(33, 'hitch-bracket-fillet', 'rowan', teo),
  weld(30, 'hitch-bracket-fillet', 'rowan', teo, ['return-poor'], { note: 'crackles all along' }),
  weld(30, 'hitch-bracket-fillet', 'rowan', runa, ['return-poor']),
  weld(29, 'hitch-bracket-fillet', 'rowan', teo, [], { note: 'clamp on bright metal, lead read anew' }),
  weld(29, 'hitch-bracket-fillet', 'rowan', teo),
  // A careful, slow hand.
  weld(28, 'axle-plate-to-tube', 'rowan', odile),
  weld(28, 'axle-plate-to-tube', 'rowan', odile),
  weld(27, 'hitch-bracket-fillet', 'rowan', odile, ['stick-out-long']),
  weld(27, 'hitch-bracket-fillet', 'rowan', odile),
  weld(26, 'axle-plate-to-tube', 'rowan', odile, ['travel-slow']),
  weld(26, 'frame-corner-butt', 'rowan', odile),
  // Aluminium: another alloy on the spool, then a soaked box.
  weld(25, 'trike-box-floor', 'alder', teo),
  weld(24, 'trike-box-floor', 'alder', teo, ['wire-wrong'], { note: 'new spool this morning' }),
  weld(24, 'trike-box-floor', 'alder', teo, ['wire-wrong']),
  weld(23, 'trike-box-floor', 'alder', teo, [], { note: 'spool read and changed back' }),
  weld(22, 'trike-frame-node', 'alder', bastian, ['surface'], { note: 'brushed yesterday' }),
  weld(22, 'trike-frame-node', 'alder', bastian),
  weld(21, 'trike-box-floor', 'alder', runa),
  weld(21, 'trike-box-floor', 'alder', runa, ['plate-hot'], { plateC: 45, note: 'third seam on this box' }),
  weld(20, 'trike-box-floor', 'alder', runa, ['plate-hot'], { plateC: 70, note: 'fourth, box too hot to touch' }),
  weld(20, 'trike-box-floor', 'alder', runa, [], { note: 'left to cool between the seams' }),
  weld(20, 'trike-frame-rail', 'alder', runa),
  weld(19, 'trike-lid-seam', 'alder', teo),
  weld(19, 'trike-lid-seam', 'alder', teo, ['crater-short']),
  weld(18, 'trike-lid-seam', 'alder', teo),
  // The tip that wore, the liner that dragged.
  weld(15, 'axle-plate-to-tube', 'rowan', teo, ['tip-worn']),
  weld(15, 'axle-plate-to-tube', 'rowan', runa, ['tip-worn'], { note: 'wanders since lunch' }),
  weld(14, 'axle-plate-to-tube', 'rowan', teo, [], { note: 'new tip' }),
  weld(13, 'sink-flange-lap', 'hazel', bastian),
  weld(12, 'sink-flange-lap', 'hazel', runa, ['liner']),
  weld(11, 'sink-flange-lap', 'hazel', runa, [], { note: 'liner blown out' }),
  weld(9, 'trike-box-floor', 'alder', odile),
  weld(9, 'trike-box-floor', 'alder', odile, ['gun-angle']),
  weld(8, 'trike-box-floor', 'alder', odile),
  weld(6, 'hitch-bracket-fillet', 'rowan', runa, ['feed-high'], { note: 'dial had been turned' }),
  weld(6, 'hitch-bracket-fillet', 'rowan', runa),
  weld(4, 'counter-corner', 'hazel', bastian),
  weld(3, 'trike-lid-seam', 'alder', teo),
  weld(2, 'axle-plate-to-tube', 'rowan', teo),
  weld(1, 'hitch-bracket-fillet', 'rowan', odile, ['trim-high']),
  weld(0, 'hitch-bracket-fillet', 'rowan', odile, [], { note: 'legs still to be measured' }),
];

/** What is wrong at the stand-ins on the first morning. */
export const demoStandIns = [
  { machineId: 'rowan', faults: ['return-poor'], seed: 41 },
  { machineId: 'hazel', faults: ['size-wrong'], seed: 97 },
  { machineId: 'alder', faults: ['gas-low'], seed: 212 },
] as const;
