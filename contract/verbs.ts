/** The computations by their verb: shape of the question, and the core's answer. One table for the command line, the API and the worker. */
import { nominalCircuitMOhm } from '@fox-tempo/core/arc';
import { message, type Phrase } from '@fox-tempo/core/said';
import { bead } from '@fox-tempo/core/bead';
import { calibrate } from '@fox-tempo/core/calibration';
import { doublePulse } from '@fox-tempo/core/double-pulse';
import { heat } from '@fox-tempo/core/heat';
import { asDialled, programFromPlan, simulationOf } from '@fox-tempo/core/machine';
import { melt } from '@fox-tempo/core/melting';
import { failure, success, type Outcome } from '@fox-tempo/core/outcome';
import { planSeam } from '@fox-tempo/core/plan';
import { solvePulse } from '@fox-tempo/core/pulse';
import { beginSimulation, type SimulationInput } from '@fox-tempo/core/simulation';
import { z } from 'zod';
import type { Verb } from './verb.ts';
import {
  beadInput,
  calibrateInput,
  doublePulseInput,
  heatInput,
  meltInput,
  planInput,
  questionOfVerb,
  pulseInput,
  simulateInput,
  simulateProgramFields,
} from './compute.ts';
import { diagnoseVerb } from './diagnose-verb.ts';
import { learnVerb } from './learn-verb.ts';
import { machineFile, readMachineFile } from './machine.ts';
import { readDialsVerb, translateVerb } from './machine-verbs.ts';
import { issuesOf, opaque, under } from './opaque.ts';
import { parseWith } from './issues.ts';
import { programFile, programVersion, readProgramFile } from './program.ts';
import { scheduleVerb } from './schedule-verb.ts';
import { soakVerb } from './soak-verb.ts';
import { sequenceVerb } from './sequence-verb.ts';
import { windowVerb } from './window-verb.ts';

function verb<S extends z.ZodType>(
  summary: Phrase,
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

const simulateProgramInput = z.strictObject({
  ...simulateProgramFields,
  program: programFile,
  machine: machineFile.optional(),
});
const simulateProgramOuter = z.strictObject({
  ...simulateProgramFields,
  program: opaque,
  machine: opaque.optional(),
});

/** Rows of a trace handed out; a screen shows fewer, a spreadsheet takes them. */
const traceRows = 4000;

/** Simulated seconds between two looks whether the asker is still there: some ten milliseconds of work. */
const sliceS = 2;

/** A simulation by its own figures, or of a program as a machine runs it, with what may be wrong. */
const simulateVerb: Verb = {
  summary: message('contract.the-arc-simulated'),
  input: z.union([simulateInput, simulateProgramInput]),
  run(value, isAwaited = () => true) {
    if (typeof value !== 'object' || value === null || !('program' in value)) {
      const parsed = parseWith(simulateInput, value);
      return parsed.ok ? runSimulation(parsed.value, isAwaited) : failure(...parsed.issues);
    }
    const outer = parseWith(simulateProgramOuter, value);
    if (!outer.ok) return outer;
    const { machine: file, program: asked, circuitMOhm, faults, seconds, seed, trace } = outer.value;
    const program = under('program', readProgramFile(asked));
    const machine = file === undefined ? undefined : under('machine', readMachineFile(file));
    if (!program.ok || machine?.ok === false) {
      return failure(...issuesOf(program), ...(machine ? issuesOf(machine) : []));
    }
    const standing = machine && { ...machine.value, circuitMOhm: circuitMOhm ?? machine.value.circuitMOhm };
    const dialled = standing ? asDialled(program.value, standing) : program.value;
    const input = simulationOf(dialled, {
      circuitMOhm: circuitMOhm ?? standing?.circuitMOhm ?? nominalCircuitMOhm,
      seconds,
      seed,
      faults,
    });
    return runSimulation({ ...input, trace }, isAwaited);
  },
};

function runSimulation(
  { trace: wantsTrace, ...input }: SimulationInput & { readonly trace?: boolean | undefined },
  isAwaited: () => boolean,
): Outcome<unknown> {
  const begun = beginSimulation(input, wantsTrace ? Math.max(input.seconds / traceRows, 5e-5) : 0);
  if (!begun.ok) return begun;
  const simulation = begun.value;
  while (simulation.doneS < simulation.totalS) {
    if (!isAwaited())
      return failure({ path: '', code: 'cancelled', message: message('contract.simulation-cancelled') });
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

/** The plan, with the program file it amounts to where that is asked for. */
function plan(asked: z.output<typeof planInput>): Outcome<unknown> {
  const input = questionOfVerb(asked);
  const planned = planSeam(input);
  if (!planned.ok || !asked.program) return planned;
  const program = { format: 'fox-tempo/program', version: programVersion, ...programFromPlan(input, planned.value) };
  return success({ ...planned.value, program });
}

export const verbs = {
  melt: verb(message('contract.verb.melt'), meltInput, melt),
  pulse: verb(message('contract.verb.pulse'), pulseInput, (input) => solvePulse(input)),
  plan: verb(message('contract.verb.plan'), planInput, plan),
  simulate: simulateVerb,
  'double-pulse': verb(message('contract.verb.double-pulse'), doublePulseInput, doublePulse),
  bead: verb(message('contract.verb.bead'), beadInput, bead),
  heat: verb(message('contract.verb.heat'), heatInput, heat),
  translate: translateVerb,
  'read-dials': readDialsVerb,
  sequence: sequenceVerb,
  diagnose: diagnoseVerb,
  learn: learnVerb,
  soak: soakVerb,
  window: windowVerb,
  schedule: scheduleVerb,
  calibrate: verb(message('contract.verb.calibrate'), calibrateInput, calibrate),
} as const satisfies Record<string, Verb>;

export type VerbName = keyof typeof verbs;
export const verbNames = Object.keys(verbs) as VerbName[];
