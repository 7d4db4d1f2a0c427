/** The computations by their verb: shape of the question, and the core's answer. One table for the command line, the API and the worker. */
import {
  bead,
  beginSimulation,
  calibrate,
  doublePulse,
  failure,
  heat,
  melt,
  planSeam,
  solvePulse,
  success,
  type Outcome,
} from '@fox-tempo/core';
import type { z } from 'zod';
import type { Verb } from './verb.ts';
import {
  beadInput,
  calibrateInput,
  doublePulseInput,
  heatInput,
  meltInput,
  planInput,
  pulseInput,
  simulateInput,
} from './compute.ts';
import { readDialsVerb, translateVerb } from './machine-verbs.ts';
import { parseWith } from './issues.ts';
import { sequenceVerb } from './sequence-verb.ts';

function verb<S extends z.ZodType>(
  summary: string,
  input: S,
  compute: (value: z.output<S>, isAwaited: () => boolean) => Outcome<unknown>,
): Verb {
  return {
    summary,
    input,
    run(value, isAwaited = () => true) {
      const parsed = parseWith(input, value);
      return parsed.ok ? compute(parsed.value, isAwaited) : failure(...parsed.issues);
    },
  };
}

/** Rows of a trace handed out; a screen shows fewer, a spreadsheet takes them. */
const traceRows = 4000;

/** Simulated seconds between two looks whether the asker is still there: some ten milliseconds of work. */
const sliceS = 2;

function runSimulation(
  { trace: wantsTrace, ...input }: z.output<typeof simulateInput>,
  isAwaited: () => boolean,
): Outcome<unknown> {
  const begun = beginSimulation(input, wantsTrace ? Math.max(input.seconds / traceRows, 5e-5) : 0);
  if (!begun.ok) return begun;
  const simulation = begun.value;
  while (simulation.doneS < simulation.totalS) {
    if (!isAwaited()) return failure({ path: '', code: 'cancelled', message: 'Nobody waits for this simulation.' });
    simulation.step(sliceS);
  }
  const { metrics, transferMode, words, startStop, trace } = simulation.finish();
  const rows = Array.from(trace.timeS, (timeS, at) => ({
    timeS,
    currentA: trace.currentA[at],
    voltageV: trace.voltageV[at],
    arcLengthMm: trace.arcLengthMm[at],
  }));
  return success({
    metrics,
    transferMode,
    words,
    ...(startStop ? { startStop } : {}),
    ...(wantsTrace ? { trace: rows } : {}),
  });
}

export const verbs = {
  melt: verb('From feed to current or back, at a given extension', meltInput, melt),
  pulse: verb('A pulse waveform for a feed, or what a given one does', pulseInput, (input) => solvePulse(input)),
  plan: verb('From a joint to a setting', planInput, planSeam),
  simulate: verb('The arc, simulated', simulateInput, runSimulation),
  'double-pulse': verb('A slow beat from one school to another, and what it does', doublePulseInput, doublePulse),
  bead: verb('Of feed, travel and leg any two give the third', beadInput, bead),
  heat: verb('Arc energy, heat input, cooling time, preheat', heatInput, heat),
  translate: translateVerb,
  'read-dials': readDialsVerb,
  sequence: sequenceVerb,
  calibrate: verb('Corrects a wire in its gas by observed points', calibrateInput, calibrate),
} as const satisfies Record<string, Verb>;

export type VerbName = keyof typeof verbs;
export const verbNames = Object.keys(verbs) as VerbName[];
