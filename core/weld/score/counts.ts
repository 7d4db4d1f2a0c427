/** Whole seconds as they are counted aloud. */
import { message, type Phrase } from '../../base/messages/index.ts';

const names = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'] as const;

export const counts: readonly Phrase[] = names.map((name) => message(`trigger.count-${name}`));
