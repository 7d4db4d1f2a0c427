/** Whole seconds as they are counted aloud. */
import { say, type Phrase } from '../said/index.ts';

const names = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'] as const;

export const counts: readonly Phrase[] = names.map((name) => say(`trigger.count-${name}`));
