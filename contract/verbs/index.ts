/** The computations by their verb: shape of the question, and the core's answer. One table for the command line, the API and the worker. */
import { beadVerb } from './bead.ts';
import { calibrateVerb } from './calibrate.ts';
import { diagnoseVerb } from './diagnose.ts';
import { doublePulseVerb } from './double-pulse.ts';
import { heatVerb } from './heat.ts';
import { learnVerb } from './learn.ts';
import { meltVerb } from './melt.ts';
import { planVerb } from './plan.ts';
import { pulseVerb } from './pulse.ts';
import { readDialsVerb } from './read-dials.ts';
import { scheduleVerb } from './schedule.ts';
import { sequenceVerb } from './sequence.ts';
import { simulateVerb } from './simulate.ts';
import { soakVerb } from './soak.ts';
import { translateVerb } from './translate.ts';
import { windowVerb } from './window.ts';
import type { Verb } from './verb.ts';

export const verbs = {
  melt: meltVerb,
  pulse: pulseVerb,
  plan: planVerb,
  simulate: simulateVerb,
  'double-pulse': doublePulseVerb,
  bead: beadVerb,
  heat: heatVerb,
  translate: translateVerb,
  'read-dials': readDialsVerb,
  sequence: sequenceVerb,
  diagnose: diagnoseVerb,
  learn: learnVerb,
  soak: soakVerb,
  window: windowVerb,
  schedule: scheduleVerb,
  calibrate: calibrateVerb,
} as const satisfies Record<string, Verb>;

export type VerbName = keyof typeof verbs;
export const verbNames = Object.keys(verbs) as VerbName[];
