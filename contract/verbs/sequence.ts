/** `sequence`: presses of the trigger played through a program, as it means them or as a machine takes them. */
import { message } from '@fox-tempo/core/base/messages';
import { habitOf, triggerModeFor } from '@fox-tempo/core/machine/description';
import { failure, success } from '@fox-tempo/core/base/outcome';
import { evaluateSequence } from '@fox-tempo/core/weld/score';
import { z } from 'zod';
import { parseWith } from '../issues.ts';
import { machineFile, readMachineFile } from '../files/machine.ts';
import { issuesOf, opaque, under } from './inner-files.ts';
import { programFile, readProgramFile } from '../files/program.ts';
import type { Verb } from './verb.ts';

const rest = {
  events: z.array(z.strictObject({ atS: z.number(), action: z.enum(['press', 'release']) })).max(100_000),
  untilS: z.number(),
  sampleEveryS: z.number().positive().optional(),
  heldAtPowerUp: z.boolean().optional(),
};
const outer = z.strictObject({ program: opaque, machine: opaque.optional(), ...rest });

export const sequenceVerb: Verb = {
  summary: message('contract.verb.play'),
  input: z.strictObject({ program: programFile, machine: machineFile.optional(), ...rest }),
  run(input) {
    const parsed = parseWith(outer, input);
    if (!parsed.ok) return parsed;
    const { program: file, machine: machineValue, ...asked } = parsed.value;
    const program = under('program', readProgramFile(file));
    const machine = machineValue === undefined ? null : under('machine', readMachineFile(machineValue));
    if (!program.ok || machine?.ok === false) {
      return failure(...issuesOf(program), ...(machine ? issuesOf(machine) : []));
    }
    const mode = machine?.ok ? triggerModeFor(machine.value, program.value.sequence.trigger)?.mode : undefined;
    const answer = evaluateSequence({
      program: program.value,
      ...asked,
      ...(mode ? { habit: habitOf(mode) } : {}),
    });
    if (!answer.ok) return answer;
    return success({
      phases: answer.value.phases.map(({ name, fromS, toS }) => ({ name, fromS, toS })),
      samples: answer.value.samples.map(({ timeS, gas, wireFeedMPerMin, levelPercent, currentA, voltageV, mm }) => ({
        timeS,
        gas,
        wireFeedMPerMin,
        levelPercent,
        currentA,
        voltageV,
        mm,
      })),
    });
  },
};
