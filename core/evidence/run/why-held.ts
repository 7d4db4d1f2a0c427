/**
 * Whether a production weld may be counted: what is loaded, selected and issued against what the seam needs. The record itself is always taken;
 * what does not agree makes the part held until a lead hand decides.
 */
import { fillerOf, gasName, wireSizeLabel, type FillerCode, sameWire } from '../../metal/consumables/index.ts';
import { type Machine } from '../../machine/description/index.ts';
import { type Program } from '../../setting/program/index.ts';
import { joined, message, type Phrase } from '../../base/messages/index.ts';
import { checkLoaded, type CheckRow, type MachineState } from '../../machine/setup/index.ts';
import { dialsBeyond, type Window } from '../window/index.ts';

export const heldCodes = [
  'wire',
  'gas',
  'chart-line',
  'mode',
  'slow-beat',
  'polarity',
  'revision',
  'window',
  'order-closed',
  'beyond-ordered',
] as const;
export type HeldCode = (typeof heldCodes)[number];

export interface Held {
  readonly code: HeldCode;
  readonly words: Phrase;
}

export interface Run {
  readonly machine: Machine;
  /** As the machine was last entered; null when nobody did: nothing can be held against it then. */
  readonly state: MachineState | null;
  readonly program: Program;
  /** Revision that was welded, and the one in force on this machine; null: none was ever issued. */
  readonly revision: number;
  readonly inForce: number | null;
  /** Dials as found or ticked at the weld. */
  readonly dials?: Readonly<Record<string, number>>;
  readonly window?: Window | undefined;
  /** Labels of what was welded with, where a spool or cylinder was named. */
  readonly spool?: { readonly filler: FillerCode; readonly diameterMm: number } | undefined;
  readonly cylinder?: { readonly gas: string } | undefined;
  /** The order it was welded for, as it stood; null: for none. */
  readonly order: OrderAtWeld | null;
}

export interface OrderAtWeld {
  readonly number: string;
  readonly closed: boolean;
  readonly quantity: number;
  /** Parts counted, and welds of this seam that wait to go into one. */
  readonly done: number;
  readonly ahead: number;
}

const codeOf: Record<CheckRow['what'], HeldCode> = {
  wire: 'wire',
  gas: 'gas',
  'chart line': 'chart-line',
  mode: 'mode',
  'slow beat': 'slow-beat',
  polarity: 'polarity',
};

/** Every reason, the label on the spool before what somebody entered of the machine; empty when the part counts. */
export function whyHeld(run: Run): Held[] {
  const held = new Map<HeldCode, Phrase>();
  const { spool, cylinder, program } = run;
  const wire = (one: Pick<Program, 'filler' | 'diameterMm'>) =>
    joined([fillerOf(one.filler).name, wireSizeLabel(one.diameterMm)], ', ');
  if (spool && !sameWire(spool, program))
    held.set('wire', message('run.held-spool-why', { is: wire(spool), needs: wire(program) }));
  if (cylinder && cylinder.gas !== program.gas)
    held.set('gas', message('run.held-cylinder-why', { is: gasName(cylinder.gas), needs: gasName(program.gas) }));
  // What was read or ticked at the weld is newer than anything known before it.
  const state = run.state && { ...run.state, dials: { ...run.state.dials, ...run.dials } };
  if (state) {
    for (const { what, agrees, loaded, selected, needed } of checkLoaded(run.machine, state, program).rows) {
      const code = codeOf[what];
      // A spool that was read off just now knows better than what was entered of the machine some day.
      if (agrees || held.has(code) || (code === 'wire' && spool) || (code === 'gas' && cylinder)) continue;
      const stands = [loaded, selected].filter(
        (one, at, all) => one !== '' && all.findIndex((other) => JSON.stringify(other) === JSON.stringify(one)) === at,
      );
      held.set(code, message(`run.held-${code}`, { stands: joined(stands, ' / '), needs: needed }));
    }
  }
  if (run.inForce !== null && run.inForce !== run.revision)
    held.set('revision', message('run.held-revision', { revision: run.revision, inForce: run.inForce }));
  if (run.order) {
    const { number, closed, quantity, done, ahead } = run.order;
    if (closed) held.set('order-closed', message('run.held-order-closed', { number }));
    else if (done + ahead >= quantity)
      held.set('beyond-ordered', message('run.held-beyond-ordered', { number, quantity }));
  }
  const beyond = run.window && run.dials ? dialsBeyond(run.machine, program, run.window, run.dials) : [];
  if (beyond.length > 0) held.set('window', message('run.held-window', { dials: beyond }));
  return [...held].map(([code, words]) => ({ code, words }));
}
