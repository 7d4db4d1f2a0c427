/** Dials of a card that are not known to stand as it wants them: unknown ones too, since nobody has seen them stand so. */
import type { DialSetting, Translation } from '../dials/index.ts';
import { standsAt } from './known-dials.ts';

export function dialsToSet(card: Pick<Translation, 'dials'>, now: Readonly<Record<string, number>>): DialSetting[] {
  return card.dials.filter(({ dialId, value }) => !standsAt(now, dialId, value));
}
