/** What a machine has on its feeder as long as nobody described it. */
import type { Feeder } from './machine.ts';

/** Length of a hand gun where nobody wrote it down, m; the shortest that is common. Assumed. */
export const usualGunLengthM = 3;

export const usualFeeder = {
  id: 'one',
  label: 'Feeder',
  gun: 'gun',
  gunLengthM: usualGunLengthM,
} as const satisfies Feeder;
