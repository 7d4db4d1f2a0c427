/** Whether a value is one that a dial can stand at. */
import { message, type Phrase } from '../../base/messages/index.ts';
import type { Issue } from '../../base/outcome/index.ts';
import type { Dial } from '../description/machine.ts';

/** Issues: `not-on-dial`. */
export function notOnDial({ id, label, scale }: Dial, value: number): Issue[] {
  const issue = (message: Phrase, limit: readonly [number, number]): Issue[] => [
    { path: `dials.${id}`, code: 'not-on-dial', message, limit, got: value },
  ];
  if (!Number.isFinite(value)) {
    return [
      {
        path: `dials.${id}`,
        code: 'not-on-dial',
        message: message('machine.error.not-a-number', { label }),
        got: String(value),
      },
    ];
  }
  if (scale.kind === 'chart-line') return [];
  if (scale.kind === 'named' || scale.kind === 'stepped') {
    const last = scale.positions.length - 1;
    return Number.isInteger(value) && value >= 0 && value <= last
      ? []
      : issue(message('machine.error.position-range', { label, last, value }), [0, last]);
  }
  const { min, max } = scale;
  return value >= min - 1e-9 && value <= max + 1e-9
    ? []
    : issue(message('machine.error.value-range', { label, min, max, value }), [min, max]);
}
