/** What each kind of step is called where no one machine is meant: a list of timed steps. */
import { message, type Said } from '../../base/messages/index.ts';
import type { StepKind } from './step-kinds.ts';

export const stepNames: Readonly<Record<StepKind, Said>> = {
  polarity: message('setup.polarity.title'),
  process: message('setup.choose-the-process'),
  feeder: message('setup.feeder.title'),
  gas: message('setup.change-the-gas'),
  flow: message('setup.set-the-flow'),
  rolls: message('setup.rolls.title'),
  liner: message('setup.change-the-liner'),
  wire: message('setup.change-the-wire'),
  tip: message('setup.tip.title'),
  recess: message('setup.recess.title'),
  tension: message('setup.pressure.title'),
  clean: message('setup.cleaning.title'),
  dials: message('setup.dials.title'),
};
