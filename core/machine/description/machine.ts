/** A described power source: what its dials are called, what they move and how, its chart lines, memories, feeders and limits. */
import type { GunPaper } from './gun-paper.ts';
import type { CalibratedWire } from '../../metal/arc/index.ts';
import type { FillerCode } from '../../metal/consumables/index.ts';
import type { BeatSchool } from '../../setting/double-pulse/index.ts';
import type { PlanMode } from '../../setting/plan/index.ts';
import type { SequenceNumber, TapCall, TriggerSchool } from '../../weld/sequence/index.ts';
import type { DialQuantity } from './quantities.ts';
import type { DialScale } from './scales.ts';

export interface Dial {
  readonly id: string;
  /** The machine's own word. */
  readonly label: string;
  /** Where a hand finds it. */
  readonly where: string;
  /** Unit as that machine prints it; empty for a bare number. */
  readonly unit: string;
  readonly scale: DialScale;
  /** Modes in which it acts; left out: in all. */
  readonly modes?: readonly PlanMode[] | undefined;
  /** `free` may be moved by the welder within a window, `fixed` stays as set; left out: free. */
  readonly hand?: 'free' | 'fixed' | undefined;
  /** False while nobody has tried which way the dial really runs; left out where the label leaves no doubt. */
  readonly senseTested?: boolean | undefined;
  readonly evidence?: readonly DirectionEvidence[] | undefined;
  /** False while nobody has measured what one unit moves; left out: printed on the machine or measured. */
  readonly unitTested?: boolean | undefined;
}

/** What a direction test found, by whom and when. */
export interface DirectionEvidence {
  readonly result: 'as-described' | 'reversed';
  readonly by: string;
  /** ISO date. */
  readonly on: string;
  readonly note?: string | undefined;
}

/** A figure that the machine shows and nobody sets. */
export interface Display {
  readonly id: string;
  readonly label: string;
  readonly where: string;
  readonly unit: string;
  readonly quantity: DialQuantity;
  readonly digits: number;
}

/** An observed or printed point of a chart line. Feed or current may be missing, never both. */
export interface ChartPoint {
  readonly wireFeedMPerMin?: number | undefined;
  readonly thicknessMm?: number | undefined;
  readonly currentA?: number | undefined;
  readonly voltageV?: number | undefined;
}

/** One line of the chart inside the door: names first, number second. */
export interface ChartLine {
  readonly number: number;
  readonly words: string;
  readonly filler: FillerCode;
  readonly diameterMm: number;
  readonly gas: string;
  readonly mode: PlanMode;
  /** Other gases that the door lists under the same number, each with the arc it then burns at the dial's neutral: mm longer than the line. */
  readonly alsoGases?: readonly { readonly gas: string; readonly trimMm: number }[] | undefined;
  /** Taught from the chart; makes the machine's own line. */
  readonly points?: readonly ChartPoint[] | undefined;
}

/** A trigger mode as a state diagram: what a press or release does is written down, never inferred from its name. */
export interface TriggerMode {
  readonly id: string;
  readonly label: string;
  /** The school it is believed to belong to. */
  readonly school: TriggerSchool;
  readonly states: readonly string[];
  readonly moves: readonly {
    readonly from: string;
    readonly on: 'press' | 'release' | 'tap' | 'time' | 'arc';
    readonly to: string;
  }[];
  /** Plain latching: on which side of a press the wire starts and the arc stops. */
  readonly plain?: { readonly startsOn: 'press' | 'release'; readonly endsOn: 'press' | 'release' } | undefined;
  /** Longest held crater, s; left out where the machine waits for the hand. */
  readonly endTimeoutS?: number | undefined;
  /** Parts of a sequence that this mode runs and nobody can set. */
  readonly fixed?: Partial<Readonly<Record<SequenceNumber, number>>> | undefined;
  readonly senseTested?: boolean | undefined;
  readonly evidence?: readonly DirectionEvidence[] | undefined;
}

export interface Feeder {
  readonly id: string;
  readonly label: string;
  readonly gun: string;
  readonly gunLengthM: number;
  readonly paper?: GunPaper | undefined;
}

export type Polarity = 'electrode-positive' | 'electrode-negative';

export interface MachineLimits {
  readonly peakCurrentA: number;
  readonly wireFeedMPerMin: readonly [number, number];
  readonly voltageV?: readonly [number, number] | undefined;
  /** Rating plate: share of ten minutes and the current it allows. */
  readonly duty?: readonly { readonly percent: number; readonly currentA: number }[] | undefined;
  readonly wireSizesMm?: readonly number[] | undefined;
  readonly polarity?: readonly Polarity[] | undefined;
}

export interface Machine {
  readonly name: string;
  readonly place: string;
  readonly about: string;
  readonly circuitMOhm: number;
  /** Whether the machine was aligned to its leads, at which resistance and when; it then makes up for that much itself. null or left out: not. */
  readonly leadCompensation?: { readonly mOhm: number; readonly on?: string | undefined } | null | undefined;
  /** Wires calibrated here; what it displays then follows them. */
  readonly corrections?: readonly CalibratedWire[] | undefined;
  readonly limits: MachineLimits;
  /** What its slow beat moves: a fed wire lags, a current follows at once. Left out: nobody knows. */
  readonly beatMoves?: 'feed' | 'current' | undefined;
  /** How it says the slow beat; null when it has none. */
  readonly beatSchool: BeatSchool | null;
  /** Empty while the machine is only outlined. */
  readonly dials: readonly Dial[];
  readonly displays: readonly Display[];
  readonly chartLines: readonly ChartLine[];
  readonly triggerModes: readonly TriggerMode[];
  /** Short presses at rest that call a memory; left out where it has none. */
  readonly tapCalls?: readonly TapCall[] | undefined;
  readonly slots: { readonly count: number; readonly first: number };
  readonly feeders: readonly Feeder[];
}
