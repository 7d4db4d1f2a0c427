/** `diagnose`: what was seen and measured on a weld, to causes with what speaks for them, the next look, and moves. */
import { causeCodes, diagnose, type CauseCode, type DiagnoseInput } from '@fox-tempo/core/evidence/judge';
import { failure, success, type Outcome } from '@fox-tempo/core/base/outcome';
import { message } from '@fox-tempo/core/base/messages';
import { stepKinds } from '@fox-tempo/core/machine/setup';
import { symptomCodes } from '@fox-tempo/core/evidence/trial';
import { wearParts, type WearPart } from '@fox-tempo/core/machine/wear';
import { z } from 'zod';
import { closed, fillerField, gasField, idField, ranged } from '../fields.ts';
import { parseWith } from '../issues.ts';
import { machineFile, readMachineFile } from '../files/machine.ts';
import { issuesOf, opaque, under } from './inner-files.ts';
import { programFile, readProgramFile } from '../files/program.ts';
import type { Verb } from './verb.ts';

const beadMm = ranged('beadMm');

export const measuredField = z.strictObject({
  displayedCurrentA: ranged('displayedCurrentA').optional(),
  displayedVoltageV: ranged('displayedVoltageV').optional(),
  pulseHz: ranged('heardHz').optional(),
  shortsPerS: z.number().min(0).max(400).optional(),
  legsMm: z.tuple([beadMm, beadMm]).optional(),
  widthMm: beadMm.optional(),
  heightMm: ranged('beadHeightMm').optional(),
  travelMmPerMin: ranged('travelMmPerMin').optional(),
});

export const factsField = z.strictObject({
  tipArcMinutes: z.number().min(0).max(100_000).optional(),
  leadReadDaysAgo: z.number().min(0).max(10_000).optional(),
  plateC: ranged('partC').optional(),
  loaded: z.strictObject({ filler: fillerField, gas: gasField, diameterMm: ranged('diameterMm') }).optional(),
  worn: z
    .array(
      z.strictObject({
        part: closed<WearPart>(wearParts),
        used: z.number().min(0).max(1e6),
        expected: z.number().min(0).max(1e6),
      }),
    )
    .max(wearParts.length)
    .optional(),
  /** Steps of the set-up walk; what is no step of it says nothing. */
  ticked: z.array(z.string().max(60)).max(60).optional(),
});

export const seenField = z.partialRecord(closed(symptomCodes), z.enum(['yes', 'no']));

const rest = {
  circuitMOhm: ranged('circuitMOhm').optional(),
  /** The thinner plate. */
  thicknessMm: ranged('thicknessMm').optional(),
  /** Dials as they stood. */
  set: z.record(idField, z.number()).optional(),
  facts: factsField.optional(),
  symptoms: seenField.default({}),
  measured: measuredField.optional(),
  /** Believed after the weld before it, and what was looked at since and found in order. */
  before: z.partialRecord(closed<CauseCode>(causeCodes), z.number().min(0).max(1)).optional(),
  inOrder: z.array(closed<CauseCode>(causeCodes)).max(causeCodes.length).optional(),
  limits: z.looseObject({ legMm: z.tuple([beadMm, beadMm]).optional() }).optional(),
};
const outer = z.strictObject({ program: opaque, machine: opaque.optional(), ...rest });

export const diagnoseVerb: Verb = {
  summary: message('contract.verb.diagnose'),
  input: z.strictObject({ program: programFile, machine: machineFile.optional(), ...rest }),
  run(value) {
    const question = diagnoseQuestion(value);
    if (!question.ok) return question;
    const answer = diagnose(question.value);
    if (answer.ok) return answer;
    return failure(...answer.issues.map((issue) => ({ ...issue, path: inSet(issue.path) })));
  },
};

/** The question with its files read. */
function diagnoseQuestion(value: unknown): Outcome<DiagnoseInput> {
  const parsed = parseWith(outer, value);
  if (!parsed.ok) return parsed;
  const { program: programValue, machine: machineValue, set, ...asked } = parsed.value;
  const program = under('program', readProgramFile(programValue));
  const machine = machineValue === undefined ? undefined : under('machine', readMachineFile(machineValue));
  if (!program.ok || machine?.ok === false) return failure(...issuesOf(program), ...(machine ? issuesOf(machine) : []));
  if (set && !machine) {
    return failure({ path: 'set', code: 'missing', message: message('contract.error.dials-without-machine') });
  }
  const { facts } = asked;
  const ticked = stepKinds.filter((step) => facts?.ticked?.includes(step) === true);
  return success({
    ...asked,
    facts: facts && { ...facts, ticked },
    program: program.value,
    machine: machine?.value,
    set,
  });
}

/** Readings of dials name them as the question does. */
function inSet(path: string): string {
  return path.replace(/^dials/, 'set');
}
