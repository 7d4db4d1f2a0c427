/** Feeders of the invented shop as they stand threaded: steel 1.0 and aluminium 1.2. */
import type { FeederState } from '../machine/setup/index.ts';

export const steelFeeder: FeederState = {
  filler: 'steel-solid',
  diameterMm: 1,
  gas: 'M21-ArC-18',
  groove: 'V',
  rollMm: 1,
  liner: 'steel',
  tipMm: 1,
  recessMm: 3,
  flowLPerMin: 14,
};

export const aluminiumFeeder: FeederState = {
  filler: 'aluminium-5356',
  diameterMm: 1.2,
  gas: 'I1',
  groove: 'U',
  rollMm: 1.2,
  liner: 'polymer',
  tipMm: 1.4,
  recessMm: 3,
  flowLPerMin: 16,
};
