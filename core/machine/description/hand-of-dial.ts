/** Whether a hand moves a dial from weld to weld, or it stays as set up: as described, else figures are free and choices fixed. */
import type { Dial } from './machine.ts';

export function handOfDial({ hand, scale }: Dial): 'free' | 'fixed' {
  return hand ?? (scale.kind === 'named' || scale.kind === 'chart-line' ? 'fixed' : 'free');
}
