/** What an arc can be meant to do, apart from the joint it is in. Rules of practice. */
import { message, type Phrase } from '../../base/messages/index.ts';
export type ArcIntent = 'root' | 'neutral' | 'wrap';
export const arcIntents: readonly {
  readonly intent: ArcIntent;
  readonly name: Phrase;
  readonly arcMm: readonly [number, number];
}[] = [
  { intent: 'root', name: message('plan.aim.short'), arcMm: [2.5, 3.5] },
  { intent: 'neutral', name: message('plan.neutral'), arcMm: [3.5, 4.5] },
  { intent: 'wrap', name: message('plan.aim.long'), arcMm: [4.5, 6] },
];
