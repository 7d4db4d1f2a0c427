/** `read-dials`: the program that a machine's dials amount to. */
import { readDials } from '@fox-tempo/core/machine/dials';
import { success } from '@fox-tempo/core/base/outcome';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { fillerField, gasField, idField, ranged } from '../fields.ts';
import { machineFile, readMachineFile } from '../files/machine.ts';
import { programVersion } from '../files/program.ts';
import { parseWith } from '../issues.ts';
import { opaque, under } from './inner-files.ts';
import type { Verb } from './verb.ts';

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
