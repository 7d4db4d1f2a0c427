/** What a dial's value is known from, in words. */
import { say, type Phrase } from '../said/index.ts';
import type { DialSource } from './known-dials.ts';

export const sourceNames: Record<DialSource, Phrase> = {
  entered: say('setup.source-entered'),
  'set-up': say('setup.source-set-up'),
  'slot-called': say('setup.source-slot-called'),
  'slot-read': say('setup.source-slot-read'),
  'put-back': say('setup.source-put-back'),
  ticked: say('setup.source-ticked'),
  trial: say('setup.source-trial'),
  'logged-weld': say('setup.source-logged-weld'),
};
