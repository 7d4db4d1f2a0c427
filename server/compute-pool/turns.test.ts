import { describe, expect, it } from '@jest/globals';
import { HttpProblem } from '../http/problem.ts';
import { createTurns } from './turns.ts';

describe('turns', () => {
  it('run so many at once, the others in the order they came', async () => {
    const turns = createTurns(2, 10);
    const order: string[] = [];
    let atOnce = 0;
    let most = 0;
    const one = (name: string) =>
      turns.take(async () => {
        most = Math.max(most, ++atOnce);
        order.push(name);
        await new Promise((resolve) => setImmediate(resolve));
        atOnce -= 1;
        return name;
      });
    expect(await Promise.all(['a', 'b', 'c', 'd', 'e'].map(one))).toEqual(['a', 'b', 'c', 'd', 'e']);
    expect(order).toEqual(['a', 'b', 'c', 'd', 'e']);
    expect(most).toBe(2);
    expect(turns.load()).toEqual({ running: 0, waiting: 0 });
  });

  it('are refused at once when too many wait, and a failure hands its place on', async () => {
    const turns = createTurns(1, 1);
    const failing = turns.take(() => Promise.reject(new Error('no')));
    const waiting = turns.take(() => Promise.resolve('served'));
    const refused = turns.take(() => Promise.resolve('never'));
    await expect(refused).rejects.toBeInstanceOf(HttpProblem);
    await expect(failing).rejects.toThrow('no');
    expect(await waiting).toBe('served');
    expect(turns.load()).toEqual({ running: 0, waiting: 0 });
  });
});
