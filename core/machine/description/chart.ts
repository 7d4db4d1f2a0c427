/** The chart inside the door: which line a program needs, which numbers are easily mistaken, and finding lines by words. */
import { fillerOf, sameSizeMm, sameWire, type FillerCode } from '../../metal/consumables/index.ts';
import type { PlanMode } from '../../setting/plan/index.ts';
import type { ChartLine } from './machine.ts';

interface WireGasMode {
  readonly filler: FillerCode;
  readonly gas: string;
  readonly diameterMm: number;
  readonly mode: PlanMode;
}

/** Classes that melt alike run on one line: a chart says "stainless" for 308L, 309L and 316L. What is threaded is another question. */
export function runsOnLine(
  line: { filler: FillerCode; diameterMm: number },
  wire: { filler: FillerCode; diameterMm: number },
): boolean {
  if (sameWire(line, wire)) return true;
  const [one, other] = [fillerOf(line.filler), fillerOf(wire.filler)];
  return (
    one.family === 'stainless' &&
    other.family === 'stainless' &&
    Math.abs(line.diameterMm - wire.diameterMm) < sameSizeMm
  );
}

/** The line made for this wire, gas and mode; in double pulse the pulse line serves when there is none of its own. */
export function chartLineFor(lines: readonly ChartLine[], wanted: WireGasMode): ChartLine | undefined {
  const fits = (mode: PlanMode) => {
    const ofWire = lines.filter((line) => line.mode === mode && runsOnLine(line, wanted));
    return ofWire.find((line) => line.gas === wanted.gas) ?? ofWire.find((line) => servesGas(line, wanted.gas));
  };
  return fits(wanted.mode) ?? (wanted.mode === 'double-pulse' ? fits('pulse') : undefined);
}

/** True for the line's own gas and for those listed under the same number. */
export function servesGas(line: ChartLine, gas: string): boolean {
  return line.gas === gas || (line.alsoGases ?? []).some((other) => other.gas === gas);
}

/** How much longer the arc burns on this line in that gas when the dial stands at its neutral, mm; 0 in the line's own gas. */
export function gasTrimMm(line: ChartLine | null | undefined, gas: string): number {
  return line?.gas === gas ? 0 : (line?.alsoGases?.find((other) => other.gas === gas)?.trimMm ?? 0);
}

/** Up to three other lines whose number a hand or an ear easily takes for this one, the likeliest first. */
export function lookAlikes(lines: readonly ChartLine[], line: ChartLine): ChartLine[] {
  return lines
    .filter((other) => other.number !== line.number && meansOther(other, line))
    .map((other) => ({ other, likeness: likeness(other.number, line.number) }))
    .filter(({ likeness: score }) => score > 0)
    .sort((a, b) => b.likeness - a.likeness || a.other.number - b.other.number)
    .slice(0, 3)
    .map(({ other }) => other);
}

function meansOther(a: ChartLine, b: ChartLine): boolean {
  return !sameWire(a, b) || !servesGas(a, b.gas);
}

/** 3 for swapped digits, 2 for a neighbour on the list, 1 for one digit that looks or sounds alike, 0 for none of it. */
function likeness(a: number, b: number): number {
  const [one, two] = [String(a), String(b)];
  if (one.length === two.length && one !== two && sorted(one) === sorted(two)) return 3;
  if (Math.abs(a - b) === 1) return 2;
  if (one.length !== two.length) return 0;
  const apart = Array.from(one).flatMap((digit, at) => (digit === two[at] ? [] : [sorted(digit + (two[at] ?? ''))]));
  return apart.length === 1 && confused.has(apart[0] ?? '') ? 1 : 0;
}

function sorted(digits: string): string {
  return Array.from(digits).sort().join('');
}

/** Digits taken for one another on a worn display. */
const confused = new Set(['17', '38', '56', '68', '89', '08', '69']);

/** Lines whose words, filler, size or number hold every word asked for, in any order. */
export function searchChart(lines: readonly ChartLine[], asked: string): ChartLine[] {
  const words = asked.toLowerCase().replaceAll(',', '.').split(/\s+/).filter(Boolean);
  return lines.filter((line) => {
    const text =
      `${line.words} ${line.filler} ${line.gas} ${line.mode} ${line.diameterMm.toFixed(1)} ${line.number}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
}
