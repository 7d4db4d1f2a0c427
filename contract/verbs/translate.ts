/** `translate`: a program as one machine's dials. Files are read in any version and checked whole. */
import { cardOf } from '@fox-tempo/core/machine/dials';
import { failure, success } from '@fox-tempo/core/base/outcome';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { machineFile, readMachineFile } from '../files/machine.ts';
import { programFile, readProgramFile } from '../files/program.ts';
import { parseWith } from '../issues.ts';
import { issuesOf, opaque, under } from './inner-files.ts';
import type { Verb } from './verb.ts';

const translateOuter = z.strictObject({ machine: opaque, program: opaque });

export const translateVerb: Verb = {
  summary: message('contract.verb.dials'),
  input: z.strictObject({ machine: machineFile, program: programFile }),
  run(input) {
    const outer = parseWith(translateOuter, input);
    if (!outer.ok) return outer;
    const machine = under('machine', readMachineFile(outer.value.machine));
    const program = under('program', readProgramFile(outer.value.program));
    if (!machine.ok || !program.ok) return failure(...issuesOf(machine), ...issuesOf(program));
    return success(cardOf(machine.value, program.value));
  },
};
