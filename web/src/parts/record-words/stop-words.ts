/** How a stop left the wire, in words: on the page that asks for it and in the record. */
import type { WireLeft, WireShape } from '@fox-tempo/core/weld/score';
import { t } from '../../lib/words.ts';

export const leftNames: Readonly<Record<WireLeft, string>> = {
  'stuck-in-pool': t('view.sequence.stop.froze'),
  'too-long': t('view.sequence.too-long'),
  right: t('view.sequence.right-length'),
  'too-short': t('view.sequence.too-short'),
  'welded-to-tip': t('view.sequence.stop.welded-to-tip'),
};

export const shapeNames: Readonly<Record<WireShape, string>> = {
  sharp: t('view.sequence.sharp'),
  'small-ball': t('view.sequence.small-ball'),
  'big-ball': t('view.sequence.big-ball'),
};
