/** A described power source: what its dials are called, what they move and how, its chart lines and its limits. */
import type { FillerCode } from '../consumables/index.ts';

/** Quantities of a program that a dial can move. */
export type DialQuantity = 'wireFeedMPerMin' | 'trimMm' | 'stiffness' | 'peakCurrentA' | 'gasFlowLPerMin';

/** A dial that moves one quantity in proportion: quantity = quantityAtNeutral + (value − neutral) × quantityPerUnit. */
export interface LinearScale {
  readonly kind: 'linear';
  readonly quantity: DialQuantity;
  readonly neutral: number;
  readonly quantityAtNeutral: number;
  /** Negative when the dial runs the other way. */
  readonly quantityPerUnit: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
}

/** The control that picks a line of the chart inside the door. */
export interface ChartLineScale {
  readonly kind: 'chart-line';
}

export interface Dial {
  readonly id: string;
  /** The machine's own word. */
  readonly label: string;
  /** Where a hand finds it. */
  readonly where: string;
  /** Unit as that machine prints it; empty for a bare number. */
  readonly unit: string;
  /** What more means, in words, for bare scales. */
  readonly sense?: string | undefined;
  readonly scale: LinearScale | ChartLineScale;
}

export interface ChartLine {
  readonly number: number;
  readonly words: string;
  readonly filler: FillerCode;
  readonly diameterMm: number;
  readonly gas: string;
  readonly mode: 'dip' | 'spray' | 'pulse' | 'double-pulse';
}

export interface Machine {
  readonly name: string;
  readonly place: string;
  readonly about: string;
  readonly circuitMOhm: number;
  readonly limits: {
    readonly peakCurrentA: number;
    readonly wireFeedMPerMin: readonly [number, number];
  };
  /** Empty while the machine is only outlined. */
  readonly dials: readonly Dial[];
  readonly chartLines: readonly ChartLine[];
}
