/** What each kind of step is called where no one machine is meant: a list of timed steps. */
import { say, type Said } from '../said/index.ts';
import type { StepKind } from './step-kinds.ts';

export const stepNames: Readonly<Record<StepKind, Said>> = {
  polarity: say('setup.polarity.title'),
  process: say('setup.choose-the-process'),
  feeder: say('setup.feeder.title'),
  gas: say('setup.change-the-gas'),
  flow: say('setup.set-the-flow'),
  rolls: say('setup.rolls.title'),
  liner: say('setup.change-the-liner'),
  wire: say('setup.change-the-wire'),
  tip: say('setup.tip.title'),
  recess: say('setup.recess.title'),
  tension: say('setup.pressure.title'),
  clean: say('setup.cleaning.title'),
  dials: say('setup.dials.title'),
};
