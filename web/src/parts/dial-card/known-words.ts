/** From what, by whom and when a dial's value is known. */
import type { MachineStanding } from '@fox-tempo/contract';
import { newestKnown, sourceNames, type KnownDial } from '@fox-tempo/core/machine/setup';
import { shopTime } from '../../lib/time.ts';
import { t } from '../../lib/words.ts';

export function knownWords({ source, by, at }: Omit<KnownDial, 'value'>): string {
  return t('view.dial-card.known-from', { source: sourceNames[source], by, at: shopTime(at) });
}

/** Of the newest dial; null where none is known. */
export function standingWords({ known, dials }: Pick<MachineStanding, 'known' | 'dials'>): string | null {
  const all = Object.entries(known).map(([id, one]) => [id, { ...one, value: dials[id] ?? 0 }] as const);
  const newest = newestKnown({ dials: Object.fromEntries(all) });
  return newest && knownWords(newest);
}
