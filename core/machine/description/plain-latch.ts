/** Plain latching under one name means four different things: drawn as a machine takes its presses, and found out by a dry test. */
import { failure, success, type Outcome } from '../../base/outcome/index.ts';
import type { DirectionEvidence, Machine, TriggerMode } from './machine.ts';

export type PlainLatch = NonNullable<TriggerMode['plain']>;
type Drawing = Pick<TriggerMode, 'states' | 'moves'> & { readonly plain: PlainLatch };

export const plainLatches: readonly PlainLatch[] = [
  { startsOn: 'press', endsOn: 'press' },
  { startsOn: 'press', endsOn: 'release' },
  { startsOn: 'release', endsOn: 'press' },
  { startsOn: 'release', endsOn: 'release' },
];

/** States and moves of a mode that latches so. */
export function drawnLatch(plain: PlainLatch): Drawing {
  const { startsOn, endsOn } = plain;
  return {
    states: [
      'rest',
      ...(startsOn === 'release' ? ['gas'] : []),
      'weld',
      ...(endsOn === 'release' ? ['last press'] : []),
      'gas after',
    ],
    moves: [
      ...(startsOn === 'release'
        ? ([
            { from: 'rest', on: 'press', to: 'gas' },
            { from: 'gas', on: 'release', to: 'weld' },
          ] as const)
        : ([{ from: 'rest', on: 'press', to: 'weld' }] as const)),
      ...(endsOn === 'release'
        ? ([
            { from: 'weld', on: 'press', to: 'last press' },
            { from: 'last press', on: 'release', to: 'gas after' },
          ] as const)
        : ([{ from: 'weld', on: 'press', to: 'gas after' }] as const)),
      { from: 'gas after', on: 'time', to: 'rest' },
    ],
    plain,
  };
}

/** The machine with what a dry test found written to its plain latching mode. Issues: `unknown-mode`, `not-plain`. */
export function withPlainLatch(
  machine: Machine,
  modeId: string,
  plain: PlainLatch,
  evidence: DirectionEvidence,
): Outcome<Machine> {
  const mode = machine.triggerModes.find(({ id }) => id === modeId);
  if (mode?.school !== 'latch') {
    return failure({
      path: 'modeId',
      code: mode ? 'not-plain' : 'unknown-mode',
      message: mode
        ? `${mode.label} of ${machine.name} is not a plain latching mode: a dry test of it finds nothing of this.`
        : `${machine.name} has no trigger mode "${modeId}".`,
      got: modeId,
    });
  }
  const tested: TriggerMode = {
    ...mode,
    ...drawnLatch(plain),
    senseTested: true,
    evidence: [...(mode.evidence ?? []), evidence],
  };
  return success({ ...machine, triggerModes: machine.triggerModes.map((one) => (one.id === modeId ? tested : one)) });
}
