/** A window in whole steps of a machine's dials: never beyond what was tested. */
import { own } from '../../base/record/index.ts';
import { displayed, type Machine } from '../../machine/description/index.ts';
import { type Program } from '../../setting/program/index.ts';
import { message, type Said } from '../../base/messages/index.ts';
import { stepDial } from '../../machine/tuning/index.ts';
import { windowQuantities, type Window } from './window.ts';

export interface DialWindow {
  readonly dialId: string;
  /** What the dial shows at either end; the lower figure first. */
  readonly from: number;
  readonly to: number;
  /** Steps towards less and more of the quantity. */
  readonly down: number;
  readonly up: number;
}

export function windowOnDials(machine: Machine, program: Program, window: Window): DialWindow[] {
  return windowQuantities.flatMap((quantity) => {
    const range = window[quantity];
    const here = stepDial(machine, program, quantity, 0);
    const next = stepDial(machine, program, quantity, 1);
    if (!range || !here || !next || next.figure <= here.figure) return [];
    const perStep = next.figure - here.figure;
    const down = Math.max(Math.floor((here.figure - range[0]) / perStep + 1e-6), 0);
    const up = Math.max(Math.floor((range[1] - here.figure) / perStep + 1e-6), 0);
    const ends = [-down, up].map((steps) => stepDial(machine, program, quantity, steps)?.value ?? here.value);
    return [{ dialId: here.dialId, from: Math.min(...ends), to: Math.max(...ends), down, up }];
  });
}

/** How far the dial may be moved, in its own figures; undefined where the window does not speak of it. */
export function dialWindowWords(machine: Machine, windows: readonly DialWindow[], dialId: string): Said | undefined {
  const found = windows.find((one) => one.dialId === dialId);
  const scale = machine.dials.find(({ id }) => id === dialId)?.scale;
  if (!found || !scale) return undefined;
  return found.from === found.to
    ? message('window.stays-as-set')
    : message('window.may-be-moved', { from: displayed(scale, found.from), to: displayed(scale, found.to) });
}

/** Labels of dials that stood outside the window. */
export function dialsBeyond(
  machine: Machine,
  program: Program,
  window: Window,
  dials: Readonly<Record<string, number>>,
): string[] {
  return windowOnDials(machine, program, window).flatMap(({ dialId, from, to }) => {
    const found = own(dials, dialId);
    if (found === undefined || (found >= from - 1e-9 && found <= to + 1e-9)) return [];
    return [machine.dials.find(({ id }) => id === dialId)?.label ?? dialId];
  });
}
