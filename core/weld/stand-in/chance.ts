/** Chance as a stand-in throws it: seeded, so that a week of welds comes out the same every time. */
import { nextNormal, nextUniform, randomStream, type RandomStream } from '../../base/numeric/random.ts';

export interface Chance {
  uniform(): number;
  normal(): number;
  /** True in so many cases of one. */
  happens(probability: number): boolean;
  /** One of them, by their weights. */
  pick<T>(items: readonly T[], weight: (item: T) => number): T;
}

export function chanceOf(seed: number): Chance {
  const stream: RandomStream = randomStream(seed);
  const uniform = () => nextUniform(stream);
  return {
    uniform,
    normal: () => nextNormal(stream),
    happens: (probability) => uniform() < probability,
    pick(items, weight) {
      let left = uniform() * items.reduce((sum, item) => sum + weight(item), 0);
      for (const item of items) {
        left -= weight(item);
        if (left <= 0) return item;
      }
      const last = items.at(-1);
      if (last === undefined) throw new Error('nothing to pick from');
      return last;
    },
  };
}

/** A chance moved by so many logits. */
export function moved(probability: number, logits: number): number {
  const odds = (probability / (1 - probability)) * Math.exp(logits);
  return odds / (1 + odds);
}
