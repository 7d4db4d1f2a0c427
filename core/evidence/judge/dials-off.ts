/** How a machine's dials stood against what the card would have set, as physics. */
import { readDials, translate } from '../../machine/dials/index.ts';
import { type Machine } from '../../machine/description/index.ts';
import { type Program } from '../../setting/program/index.ts';
import { success, type Outcome } from '../../base/outcome/index.ts';

/** Found less meant. */
export interface DialsOff {
  readonly trimMm: number;
  readonly feedShare: number;
  readonly stiffness: number;
}

/** Dials that nobody read are taken to stand as the card says. Issues: those of `readDials`. */
export function dialsOff(machine: Machine, program: Program, set: Readonly<Record<string, number>>): Outcome<DialsOff> {
  const { filler, gas, diameterMm, ctwdMm, travelMmPerMin } = program;
  const beside = { loaded: { filler, gas, diameterMm }, ctwdMm, travelMmPerMin };
  const card = Object.fromEntries(translate(machine, program).dials.map(({ dialId, value }) => [dialId, value]));
  const meant = readDials(machine, card, beside);
  if (!meant.ok) return meant;
  const found = readDials(machine, { ...card, ...set }, beside);
  if (!found.ok) return found;
  return success({
    trimMm: found.value.program.trimMm - meant.value.program.trimMm,
    feedShare: found.value.program.wireFeedMPerMin / meant.value.program.wireFeedMPerMin - 1,
    stiffness: found.value.program.stiffness - meant.value.program.stiffness,
  });
}
