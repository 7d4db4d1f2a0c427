/** A trial as it was recorded at the machine. Blank is "not looked at", which is not "no". */
import { message, type Said } from '../../base/messages/index.ts';
import type { MeasuredName } from './measured.ts';
import type { SymptomCode } from './symptoms.ts';

export const places = ['first', 'along', 'last', 'back'] as const;
/** First 10 mm, along, last 10 mm, back. */
export type Place = (typeof places)[number];

export const timers = ['helper', 'typed', 'machine', 'stand-in'] as const;
export type Timer = (typeof timers)[number];

export const sounds = ['hum', 'hum-crackle', 'frying-even', 'frying-rough', 'hiss', 'flutter', 'popping'] as const;
export type Sound = (typeof sounds)[number];

export const handPatterns = ['straight', 'weave', 'steps', 'triangle'] as const;
export const testKinds = ['fracture', 'macro', 'bend'] as const;
export const testNames: Readonly<Record<(typeof testKinds)[number], Said>> = {
  fracture: message('trials.test-fracture'),
  macro: message('trials.test-macro'),
  bend: message('trials.test-bend'),
};

export interface SymptomAnswer {
  readonly answer: 'yes' | 'no';
  /** 1 slight, 2 plain, 3 bad; of a yes. */
  readonly severity?: 1 | 2 | 3 | undefined;
  readonly place?: Place | undefined;
}

export interface TrialTiming {
  readonly seconds: number;
  readonly lengthMm: number;
  readonly by: Timer;
}

export interface TrialMeasured extends Readonly<Partial<Record<MeasuredName, number | undefined>>> {
  readonly legsMm?: readonly [number, number] | undefined;
  /** Against the limits with a fillet gauge, where nobody read a figure. */
  readonly gauge?: 'fits' | 'small' | 'large' | undefined;
}

export interface TrialTest {
  readonly kind: (typeof testKinds)[number];
  readonly result: 'pass' | 'fail';
}

/** What of a record its verdict stands on. */
export interface Looked {
  readonly symptoms: Readonly<Partial<Record<SymptomCode, SymptomAnswer>>>;
  readonly measured?: TrialMeasured | undefined;
  readonly tests?: readonly TrialTest[] | undefined;
}
