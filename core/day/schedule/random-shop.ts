/** Shops made up by a seed, for tests and the bench. */
import { nextUniform, randomStream } from '../../base/numeric/random.ts';
import type { ScheduleInput } from './problem.ts';

/** Random changeovers of 0 to 30 minutes, work of 5 to 40, due within the day; fixed seeds. */
export function randomShop(operations: number, machines: number, seed: number): ScheduleInput {
  const stream = randomStream(seed);
  const whole = (most: number) => Math.floor(nextUniform(stream) * (most + 1));
  const names = Array.from({ length: machines }, (_, at) => `m${at}`);
  const ids = Array.from({ length: operations }, (_, at) => `o${at}`);
  return {
    operations: ids.map((id) => ({
      id,
      minutes: 5 + whole(35),
      ...(whole(2) > 0 ? { dueMinute: 20 + whole(90) } : {}),
      machines: names.filter((_, at) => at === 0 || whole(3) > 0),
    })),
    setupMinutes: Object.fromEntries(
      names.map((machine) => [
        machine,
        Object.fromEntries(
          [...ids, 'start'].map((from) => [from, Object.fromEntries(ids.map((to) => [to, whole(30)]))]),
        ),
      ]),
    ),
  };
}
