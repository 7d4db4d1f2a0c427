/** What an arc can be meant to do, apart from the joint it is in. Rules of practice. */
export type ArcIntent = 'root' | 'neutral' | 'wrap';
export const arcIntents: readonly {
  readonly intent: ArcIntent;
  readonly name: string;
  readonly arcMm: readonly [number, number];
}[] = [
  { intent: 'root', name: 'Short, into the root', arcMm: [2.5, 3.5] },
  { intent: 'neutral', name: 'Neutral', arcMm: [3.5, 4.5] },
  { intent: 'wrap', name: 'Long, so that the bead wraps', arcMm: [4.5, 6] },
];
