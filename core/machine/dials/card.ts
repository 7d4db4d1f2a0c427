/** The dial card of a program on a machine: what is shown and printed to be set. */
import type { Machine } from '../description/machine.ts';
import type { Program } from '../../setting/program/program.ts';
import { translate, type Translation } from './translate.ts';

const cards = new WeakMap<Machine, WeakMap<Program, Translation>>();

/**
 * Without dials where the machine does not take the wire or has no line for it: figures for another line would only look like an answer;
 * `cannot` says why. Worked out once for each machine and program, since a day's changeovers ask for the same one hundreds of times.
 */
export function cardOf(machine: Machine, program: Program): Translation {
  const known = cards.get(machine) ?? new WeakMap<Program, Translation>();
  cards.set(machine, known);
  const found = known.get(program) ?? cardFrom(translate(machine, program));
  known.set(program, found);
  return found;
}

function cardFrom(whole: Translation): Translation {
  const isForeign = whole.cannot === 'wire-size' || whole.cannot === 'chart';
  return isForeign ? { ...whole, dials: [], displays: [], carried: [], notCarried: [] } : whole;
}
