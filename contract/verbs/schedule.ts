/** `schedule`: operations on machines, with changeovers that depend on their order and due times. */
import { failure, success, type Issue } from '@fox-tempo/core/base/outcome';
import { message } from '@fox-tempo/core/base/messages';
import { schedule } from '@fox-tempo/core/day/schedule';
import { z } from 'zod';
import { parseWith } from '../issues.ts';
import type { Verb } from './verb.ts';

const name = z.string().min(1).max(80);
const minutes = z.number().min(0).max(100_000);

const scheduleInput = z.strictObject({
  operations: z
    .array(
      z.strictObject({
        id: name,
        minutes,
        dueMinute: z.number().min(-100_000).max(1_000_000).optional(),
        machines: z.array(name).min(1).max(20),
      }),
    )
    .min(1)
    .max(200),
  setupMinutes: z.record(name, z.record(name, z.record(name, minutes))),
  /** What was put first by hand, machine by machine. */
  fixed: z.record(name, z.array(name).max(200)).optional(),
  seed: z.int().min(0).max(1e9).default(1),
});

export const scheduleVerb: Verb = {
  summary: message('contract.verb.run-plan'),
  input: scheduleInput,
  run(value) {
    const parsed = parseWith(scheduleInput, value);
    if (!parsed.ok) return parsed;
    const { seed, ...input } = parsed.value;
    const issues = troubleWith(input);
    if (issues.length > 0) return failure(...issues);
    return success(schedule(input, seed));
  },
};

function troubleWith({ operations, fixed = {} }: Omit<z.output<typeof scheduleInput>, 'seed'>): Issue[] {
  const issues: Issue[] = [];
  const seen = new Map<string, number>();
  operations.forEach(({ id }, at) => {
    const first = seen.get(id);
    if (id === 'start' || first !== undefined)
      issues.push({
        path: `operations.${at}.id`,
        code: 'contradiction',
        message: message('contract.error.operation-name', { id }),
        got: id,
      });
    seen.set(id, at);
  });
  const put = new Set<string>();
  for (const [machine, ids] of Object.entries(fixed)) {
    ids.forEach((id, at) => {
      const operation = operations[seen.get(id) ?? -1];
      if (!operation || put.has(id) || !operation.machines.includes(machine))
        issues.push({
          path: `fixed.${machine}.${at}`,
          code: 'contradiction',
          message: message('contract.error.operation-fixed', { id, machine }),
          got: id,
        });
      put.add(id);
    });
  }
  return issues;
}
