/** What a dial's value is known from, in words. */
import { message, type Phrase } from '../../base/messages/index.ts';
import type { DialSource } from './known-dials.ts';

export const sourceNames: Record<DialSource, Phrase> = {
  entered: message('setup.source-entered'),
  'set-up': message('setup.source-set-up'),
  'slot-called': message('setup.source-slot-called'),
  'slot-read': message('setup.source-slot-read'),
  'put-back': message('setup.source-put-back'),
  ticked: message('setup.source-ticked'),
  trial: message('setup.source-trial'),
  'logged-weld': message('setup.source-logged-weld'),
};
