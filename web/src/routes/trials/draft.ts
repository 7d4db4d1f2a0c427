/** A trial while it is being written down, and what the record becomes of it. */
import type { StandInBead, TrialBody, TrialCreate } from '@fox-tempo/contract';
import {
  symptomsOn,
  type MeasuredName,
  type Side,
  type Sound,
  type SymptomAnswer,
  type SymptomCode,
  type Timer,
} from '@fox-tempo/core/evidence/trial';

export type HandPattern = NonNullable<TrialBody['hand']>;
type Symptoms = Partial<Record<SymptomCode, SymptomAnswer>>;

export interface Draft {
  readonly weldedBy: string | null;
  readonly seconds: number | null;
  readonly lengthMm: number | null;
  readonly by: Timer;
  readonly symptoms: Symptoms;
  readonly heard: readonly Sound[];
  readonly gauge: 'fits' | 'small' | 'large' | null;
  readonly legs: readonly [number | null, number | null];
  readonly measured: Partial<Record<MeasuredName, number | null>>;
  readonly currentA: number | null;
  readonly voltageV: number | null;
  readonly pulseHz: number | null;
  readonly plateC: number | null;
  readonly ctwdMm: number | null;
  readonly gapMm: number | null;
  readonly cleanedMinutesAgo: number | null;
  readonly hand: HandPattern | null;
  readonly workDeg: number | null;
  readonly travelDeg: number | null;
  readonly dials: Readonly<Record<string, number>>;
  readonly tests: TrialBody['tests'];
  readonly stamp: string;
  readonly wireBatch: string;
  readonly gasBatch: string;
  readonly note: string;
}

export const blankDraft: Draft = {
  weldedBy: null,
  seconds: null,
  lengthMm: null,
  by: 'typed',
  symptoms: {},
  heard: [],
  gauge: null,
  legs: [null, null],
  measured: {},
  currentA: null,
  voltageV: null,
  pulseHz: null,
  plateC: null,
  ctwdMm: null,
  gapMm: null,
  cleanedMinutesAgo: null,
  hand: null,
  workDeg: null,
  travelDeg: null,
  dials: {},
  tests: [],
  stamp: '',
  wireBatch: '',
  gasBatch: '',
  note: '',
};

/** Looked at: clean. Exactly the symptoms of that side are no; the others stay as they are. */
export function lookedAtClean(symptoms: Symptoms, side: Side): Symptoms {
  return { ...symptoms, ...Object.fromEntries(symptomsOn(side).map((code) => [code, { answer: 'no' as const }])) };
}

/** Nobody looked, after all. */
export function notLookedAt(symptoms: Symptoms, side: Side): Symptoms {
  const of = new Set<string>(symptomsOn(side));
  return Object.fromEntries(Object.entries(symptoms).filter(([code]) => !of.has(code)));
}

/** No → slight → plain → bad → no; a symptom that somebody taps was looked for, and so were its neighbours. */
export function tapped(symptoms: Symptoms, side: Side, code: SymptomCode): Symptoms {
  const now = symptoms[code];
  const severity = now?.answer === 'yes' ? (now.severity ?? 2) : 0;
  const next: SymptomAnswer =
    severity === 3 ? { answer: 'no' } : { answer: 'yes', severity: (severity + 1) as 1 | 2 | 3 };
  const before = sideState(symptoms, side) === 'open' ? lookedAtClean(symptoms, side) : symptoms;
  return { ...before, [code]: next };
}

export function sideState(symptoms: Symptoms, side: Side): 'open' | 'clean' | 'seen' {
  const answers = symptomsOn(side).map((code) => symptoms[code]);
  if (answers.some((one) => one?.answer === 'yes')) return 'seen';
  return answers.every((one) => one?.answer === 'no') ? 'clean' : 'open';
}

/** What was asked for last and is blank stays out: blank is not no. */
export function bodyOf(draft: Draft): TrialBody {
  const { legs, measured, gauge } = draft;
  const [first, second] = legs;
  const found = Object.fromEntries(
    Object.entries(measured).filter((entry): entry is [MeasuredName, number] => entry[1] !== null),
  );
  return {
    dials: { ...draft.dials },
    measured: {
      ...found,
      ...(first !== null && second !== null ? { legsMm: [first, second] as [number, number] } : {}),
      ...(gauge && (first === null || second === null) ? { gauge } : {}),
    },
    symptoms: { ...draft.symptoms },
    heard: [...draft.heard],
    tests: [...draft.tests],
    note: draft.note,
    ...(draft.seconds !== null && draft.lengthMm !== null
      ? { timing: { seconds: draft.seconds, lengthMm: draft.lengthMm, by: draft.by } }
      : {}),
    ...(draft.currentA !== null || draft.voltageV !== null
      ? {
          displayed: {
            ...(draft.currentA === null ? {} : { currentA: draft.currentA }),
            ...(draft.voltageV === null ? {} : { voltageV: draft.voltageV }),
            state: 'running' as const,
          },
        }
      : {}),
    ...(draft.pulseHz === null ? {} : { pulseHz: draft.pulseHz }),
    ...(draft.plateC === null ? {} : { plateC: draft.plateC }),
    ...(draft.ctwdMm === null ? {} : { ctwdMm: draft.ctwdMm }),
    ...(draft.gapMm === null ? {} : { gapMm: draft.gapMm }),
    ...(draft.cleanedMinutesAgo === null ? {} : { cleanedMinutesAgo: draft.cleanedMinutesAgo }),
    ...(draft.hand === null ? {} : { hand: draft.hand }),
    ...(draft.workDeg === null || draft.travelDeg === null
      ? {}
      : { gun: { workDeg: draft.workDeg, travelDeg: draft.travelDeg } }),
    ...texts(draft),
  };
}

function texts({ stamp, wireBatch, gasBatch }: Draft) {
  return Object.fromEntries(Object.entries({ stamp, wireBatch, gasBatch }).filter(([, text]) => text !== ''));
}

/** A correction begins as what was recorded. */
export function draftOf(body: TrialBody, weldedBy: string | null): Draft {
  const { legsMm, gauge, ...measured } = body.measured;
  return {
    ...blankDraft,
    weldedBy,
    seconds: body.timing?.seconds ?? null,
    lengthMm: body.timing?.lengthMm ?? null,
    by: body.timing?.by ?? 'typed',
    symptoms: body.symptoms,
    heard: body.heard,
    gauge: gauge ?? null,
    legs: [legsMm?.[0] ?? null, legsMm?.[1] ?? null],
    measured,
    currentA: body.displayed?.currentA ?? null,
    voltageV: body.displayed?.voltageV ?? null,
    pulseHz: body.pulseHz ?? null,
    plateC: body.plateC ?? null,
    ctwdMm: body.ctwdMm ?? null,
    gapMm: body.gapMm ?? null,
    cleanedMinutesAgo: body.cleanedMinutesAgo ?? null,
    hand: body.hand ?? null,
    workDeg: body.gun?.workDeg ?? null,
    travelDeg: body.gun?.travelDeg ?? null,
    dials: body.dials,
    tests: body.tests,
    stamp: body.stamp ?? '',
    wireBatch: body.wireBatch ?? '',
    gasBatch: body.gasBatch ?? '',
    note: body.note,
  };
}

/** What stood before the stand-in is taken over; who welded and what was noted stay. */
export function withBead(draft: Draft, { found }: StandInBead): Draft {
  const taken = draftOf(found, draft.weldedBy);
  const { stamp, wireBatch, gasBatch, note, dials, tests, gapMm, cleanedMinutesAgo, hand, workDeg, travelDeg } = draft;
  const held = { cleanedMinutesAgo, hand, workDeg, travelDeg };
  return { ...taken, stamp, wireBatch, gasBatch, note, dials, tests, gapMm, ...held };
}

/** What goes with a record beside its body. */
export type TrialPlace = Omit<TrialCreate, 'body' | 'attachments' | 'weldedBy' | 'deviceAt'>;
