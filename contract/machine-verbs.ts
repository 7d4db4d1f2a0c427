/** `translate` and `read-dials`: between a program and one machine's dials. Files are read in any version and checked whole. */
import { message } from '@fox-tempo/core/said';
import { readDials, cardOf } from '@fox-tempo/core/machine';
import { failure, success } from '@fox-tempo/core/outcome';
import { z } from 'zod';
import { fillerField, gasField, idField, ranged } from './fields.ts';
import { parseWith } from './issues.ts';
import { machineFile, readMachineFile } from './machine.ts';
import { issuesOf, opaque, under } from './opaque.ts';
import { programFile, programVersion, readProgramFile } from './program.ts';
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

const beside = {
  loaded: z.strictObject({ filler: fillerField, diameterMm: ranged('diameterMm'), gas: gasField }).optional(),
  ctwdMm: ranged('ctwdMm').optional(),
  travelMmPerMin: ranged('travelMmPerMin').optional(),
};
const dials = z.record(idField, z.number());
const readOuter = z.strictObject({ machine: opaque, dials, ...beside });

export const readDialsVerb: Verb = {
  summary: message('contract.verb.read-dials'),
  input: z.strictObject({ machine: machineFile, dials, ...beside }),
  run(input) {
    const outer = parseWith(readOuter, input);
    if (!outer.ok) return outer;
    const { machine: file, dials: values, ...known } = outer.value;
    const machine = under('machine', readMachineFile(file));
    if (!machine.ok) return machine;
    const read = readDials(machine.value, values, known);
    if (!read.ok) return read;
    const { program, ...rest } = read.value;
    return success({ program: { format: 'fox-tempo/program', version: programVersion, ...program }, ...rest });
  },
};
