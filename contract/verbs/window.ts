/** `window`: how far a welder may move each quantity, tested at its corners and inside. */
import { nominalCircuitMOhm } from '@fox-tempo/core/metal/arc';
import { asDialled } from '@fox-tempo/core/machine/dials';
import { type Machine } from '@fox-tempo/core/machine/description';
import { type Program } from '@fox-tempo/core/setting/program';
import { failure, success, type Issue } from '@fox-tempo/core/base/outcome';
import { amount, message } from '@fox-tempo/core/base/messages';
import { stepDial } from '@fox-tempo/core/machine/tuning';
import {
  testWindow,
  usualSpread,
  windowQuantities,
  type Range,
  type Tried,
  type Window,
} from '@fox-tempo/core/evidence/window';
import { z } from 'zod';
import { ranged } from '../fields.ts';
import { parseWith } from '../issues.ts';
import { machineFile, readMachineFile } from '../files/machine.ts';
import { issuesOf, opaque, under } from './inner-files.ts';
import { programFile, readProgramFile } from '../files/program.ts';
import type { Verb } from './verb.ts';
import { range, windowField } from '../window.ts';

export const spreadField = z.strictObject({
  ctwdMm: range(-10, 15).optional(),
  leadMOhm: range(-30, 60).optional(),
  slip: range(0, 0.3).optional(),
  pace: range(-0.6, 1.5).optional(),
});

const transferMode = z.enum([
  'stubbing',
  'dip',
  'globular',
  'spray',
  'pulsed-one-drop',
  'pulsed-multi-drop',
  'pulsed-with-shorts',
  'burn-back',
]);

const rest = {
  circuitMOhm: ranged('circuitMOhm').optional(),
  thicknessMm: ranged('thicknessMm').optional(),
  plateC: ranged('plateC').optional(),
  window: windowField,
  spread: spreadField.optional(),
  limits: z
    .strictObject({
      transferModes: z.array(transferMode).min(1).max(8).optional(),
      transferMode: transferMode.optional(),
      shortsPerS: z.number().min(0.1).max(500).optional(),
      showThrough: z.number().min(0.1).max(3).optional(),
      legMm: range(0.5, 40).optional(),
    })
    .optional(),
  seed: z.int().min(0).max(1e9).default(1),
};
const outer = z.strictObject({ program: opaque, machine: opaque.optional(), ...rest });

export const windowVerb: Verb = {
  summary: message('contract.verb.window'),
  input: z.strictObject({ program: programFile, machine: machineFile.optional(), ...rest }),
  run(value) {
    const parsed = parseWith(outer, value);
    if (!parsed.ok) return parsed;
    const { program: programValue, machine: machineValue, window, limits, spread, ...asked } = parsed.value;
    const program = under('program', readProgramFile(programValue));
    const machine = machineValue === undefined ? undefined : under('machine', readMachineFile(machineValue));
    if (!program.ok || machine?.ok === false)
      return failure(...issuesOf(program), ...(machine ? issuesOf(machine) : []));
    const described: Machine | undefined = machine?.value;
    const standing = described ? asDialled(program.value, described) : program.value;
    const issues = windowTroubles(window, standing, described);
    if (issues.length > 0) return failure(...issues);
    const { transferMode: only, transferModes, ...others } = limits ?? {};
    const modes = transferModes ?? (only ? [only] : undefined);
    const answer = testWindow({
      ...asked,
      program: standing,
      circuitMOhm: asked.circuitMOhm ?? described?.circuitMOhm ?? nominalCircuitMOhm,
      window: asWindow(window),
      spread: { ...usualSpread, ...spread },
      limits: { ...others, transferModes: modes },
    });
    if (!answer.ok) return answer;
    const { corners, worst, ...more } = answer.value;
    return success({ ...more, corners: corners.map(asCorner), worst: asCorner(worst) });
  },
};

function asWindow(window: z.output<typeof windowField>): Window {
  return Object.fromEntries(windowQuantities.flatMap((name) => (window[name] ? [[name, window[name]]] : [])));
}

function asCorner({ point, ok, why, margin, transferMode: mode, shortsPerS }: Tried) {
  return { ...point, ok, ...(why ? { why } : {}), margin, transferMode: mode, shortsPerS };
}

/** Turned about, away from the set point, or beyond the dial's ends. */
function windowTroubles(window: z.output<typeof windowField>, program: Program, machine: Machine | undefined): Issue[] {
  const given = windowQuantities.flatMap((name) => (window[name] ? [[name, window[name]] as const] : []));
  if (given.length === 0) return [{ path: 'window', code: 'empty', message: message('contract.error.window-empty') }];
  return given.flatMap(([name, [low, high]]): Issue[] => {
    const path = `window.${name}`;
    const at = program[name];
    if (high < low)
      return [{ path, code: 'high-below-low', message: message('contract.error.window-order'), limit: low, got: high }];
    if (at < low - 1e-6 || at > high + 1e-6)
      return [
        {
          path,
          code: 'out-of-range',
          message: message('contract.error.set-point', { at: amount('plain', at, 2) }),
          limit: [low, high],
          got: at,
        },
      ];
    const ends = machine && dialEnds(machine, program, name);
    if (ends && (low < ends[0] - 1e-6 || high > ends[1] + 1e-6))
      return [
        {
          path,
          code: 'out-of-range',
          message: message('contract.error.window-wider', {
            low: amount('plain', ends[0], 2),
            high: amount('plain', ends[1], 2),
          }),
          limit: [...ends],
          got: low < ends[0] ? low : high,
        },
      ];
    return [];
  });
}

/** Beyond every dial's travel, so that it stands at its end. */
const manySteps = 1e5;

function dialEnds(machine: Machine, program: Program, name: (typeof windowQuantities)[number]): Range | undefined {
  const low = stepDial(machine, program, name, -manySteps);
  const high = stepDial(machine, program, name, manySteps);
  return low && high ? [low.figure, high.figure] : undefined;
}
