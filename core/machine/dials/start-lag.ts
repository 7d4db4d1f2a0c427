/** An absolute start level left behind by a higher main: what stands on the machine against what the program now asks. */
import { message, amount, type Phrase } from '../../base/messages/index.ts';
import { schoolFacts } from '../../weld/sequence/index.ts';
import type { Machine } from '../description/machine.ts';
import type { Program } from '../../setting/program/program.ts';
import { isNumeric, quantityAt, quantityOf } from '../description/scales.ts';
import { schoolOn } from '../description/trigger-mode.ts';

export interface StartLag {
  readonly label: string;
  readonly standsMPerMin: number;
  readonly mainMPerMin: number;
  readonly message: Phrase;
}

/** Null where the start is a percentage, is not known, or still lies where the program wants it. `standing`: dial values as they are now. */
export function startLag(
  machine: Machine,
  standing: Readonly<Record<string, number>>,
  program: Program,
): StartLag | null {
  if (schoolFacts[schoolOn(machine, program.sequence.trigger)].ends === 'none') return null;
  const dial = machine.dials.find(({ scale }) => isNumeric(scale) && quantityOf(scale) === 'startFeedMPerMin');
  const value = dial && standing[dial.id];
  if (!dial || value === undefined || !isNumeric(dial.scale) || dial.scale.kind === 'percent-of') return null;
  const stands = quantityAt(dial.scale, value, { fieldVPerMm: 1, reached: () => undefined });
  const main = program.wireFeedMPerMin;
  if (stands === undefined || stands >= main - 0.05 || program.sequence.startPercent < 100) return null;
  return {
    label: dial.label,
    standsMPerMin: stands,
    mainMPerMin: main,
    message: message('machine.caution.start-below-main', {
      dial: dial.label,
      machine: machine.name,
      stands: amount('wireFeed', stands, 1),
      main: amount('plain', main, 1),
      start: amount('wireFeed', (main * program.sequence.startPercent) / 100, 1),
    }),
  };
}
