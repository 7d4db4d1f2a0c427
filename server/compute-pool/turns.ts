/** So many at once, the others in the order they came, and no more waiting than can be served while somebody still cares. */
import { message } from '@fox-tempo/words';
import { HttpProblem } from '../http/problem.ts';

export interface Turns {
  /** Runs when it is its turn; 503 at once when too many wait already. */
  take<T>(run: () => Promise<T>): Promise<T>;
  load(): { readonly running: number; readonly waiting: number };
}

export function createTurns(atOnce: number, mostWaiting: number): Turns {
  const waiting: (() => void)[] = [];
  let running = 0;
  return {
    async take(run) {
      if (running >= atOnce) {
        if (waiting.length >= mostWaiting)
          throw new HttpProblem('busy', message('server.compute-pool.error.queue-full'), { waitS: 2 });
        // Whoever ends hands over the place; it is never free in between.
        await new Promise<void>((resolve) => waiting.push(resolve));
      } else running += 1;
      try {
        return await run();
      } finally {
        const next = waiting.shift();
        if (next) next();
        else running -= 1;
      }
    },
    load: () => ({ running, waiting: waiting.length }),
  };
}
