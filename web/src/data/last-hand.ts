import type { ShiftSlot } from '@fox-tempo/contract';
import { shopTime } from '../lib/time.ts';
import { t } from '../lib/words.ts';

/** Who was at the machine last before the drift was found; not a proof of who turned the dial, and said so. */
export function lastWords(last: ShiftSlot['lastBefore']): string {
  return last ? t('view.shift.last-record', { by: last.by, at: shopTime(last.at) }) : t('view.shift.no-record');
}
