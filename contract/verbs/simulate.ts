/** `simulate`: the arc by its own figures, or a program as a machine runs it. */
import { nominalCircuitMOhm } from '@fox-tempo/core/metal/arc';
import { asDialled, simulationOf } from '@fox-tempo/core/machine/dials';
import { failure, success, type Outcome } from '@fox-tempo/core/base/outcome';
import { message } from '@fox-tempo/core/base/messages';
import { beginSimulation, type SimulationInput } from '@fox-tempo/core/weld/simulation';
import { z } from 'zod';
import { machineFile, readMachineFile } from '../files/machine.ts';
import { programFile, readProgramFile } from '../files/program.ts';
import { parseWith } from '../issues.ts';
import { issuesOf, opaque, under } from './inner-files.ts';
import type { Verb } from './verb.ts';
import { fillerField, gasField, ranged } from '../fields.ts';
import { beatFrequency } from './double-pulse.ts';

const canonicalBeat = z.strictObject({
  meanFeedMPerMin: ranged('wireFeedMPerMin'),
  highFeedMPerMin: ranged('wireFeedMPerMin'),
  lowFeedMPerMin: ranged('wireFeedMPerMin'),
  highShare: z.number().gt(0).lt(1),
  frequencyHz: beatFrequency,
});

export const simulateInput = z.strictObject({
  filler: fillerField,
  gas: gasField,
  diameterMm: ranged('diameterMm'),
  wireFeedMPerMin: ranged('wireFeedMPerMin'),
  ctwdMm: ranged('ctwdMm'),
  seconds: z.number().min(0.02).max(60),
  seed: z
    .int()
    .min(0)
    .max(2 ** 31),
  source: z.discriminatedUnion('kind', [
    z.strictObject({
      kind: z.literal('constant-voltage'),
      voltageV: z.number().min(8).max(60),
      inductanceUh: z.number().min(20).max(3000).optional(),
      stiffness: ranged('stiffness').optional(),
      circuitMOhm: ranged('circuitMOhm').optional(),
    }),
    z.strictObject({
      kind: z.literal('pulse'),
      trim: ranged('trimMm').optional(),
      voltageV: z.number().min(8).max(60).optional(),
      control: z.enum(['frequency', 'background', 'peak']).optional(),
      stiffness: ranged('stiffness').optional(),
      circuitMOhm: ranged('circuitMOhm').optional(),
      pulse: z
        .strictObject({
          slewAPerMs: ranged('slewAPerMs').optional(),
          peakCurrentA: ranged('peakCurrentA').optional(),
          peakTimeMs: ranged('peakTimeMs').optional(),
          backgroundCurrentA: ranged('backgroundCurrentA').optional(),
          frequencyHz: ranged('frequencyHz').optional(),
        })
        .optional(),
      slowBeat: canonicalBeat.optional(),
    }),
  ]),
  noise: z.number().min(0).max(3).optional(),
  startStop: z
    .strictObject({
      runInPercent: z.number().min(20).max(150),
      runInAfterS: z.number().min(0).max(2),
      burnBackS: z.number().min(0).max(1),
      endPulse: z.boolean().optional(),
    })
    .optional(),
  /** Adds a decimated trace to the answer. */
  trace: z.boolean().optional(),
});

/** What a program on a machine is simulated with, beside the two files. */
export const simulateProgramFields = {
  circuitMOhm: ranged('circuitMOhm').optional(),
  faults: z
    .strictObject({
      leadExtraMOhm: z.number().min(-40).max(80).optional(),
      slip: z.number().min(0).max(0.3).optional(),
      ctwdMm: ranged('ctwdMm').optional(),
      gas: gasField.optional(),
      diameterMm: ranged('diameterMm').optional(),
      setPointV: z.number().min(-12).max(12).optional(),
      feedFactor: z.number().min(0.5).max(2).optional(),
    })
    .optional(),
  seconds: simulateInput.shape.seconds,
  seed: simulateInput.shape.seed,
  trace: z.boolean().optional(),
};

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
export const simulateVerb: Verb = {
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
