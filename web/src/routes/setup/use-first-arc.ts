/** What was ticked before the first arc of the shop's day on a machine: shared by every screen, kept in the record. */
import type { MaterialGroup } from '@fox-tempo/core/metal/consumables';
import { shopDay } from '../../lib/time.ts';
import { useObserved } from '../../data/use-observed.ts';

export interface FirstArcTicks {
  readonly ticks: Readonly<Record<string, boolean>>;
  readonly problem: string | null;
  tick: (line: string, ticked: boolean) => void;
  /** Sends again what did not reach the record. */
  retry: () => void;
}

export function useFirstArc(machineId: string, materialGroup: MaterialGroup): FirstArcTicks {
  const day = shopDay();
  const { rows, problem, record, retry } = useObserved('first-arc', { machine: machineId });
  const stored = (rows ?? [])
    .filter(({ body }) => body['day'] === day && body['materialGroup'] === materialGroup)
    .map(({ body }) => body['ticks'] as Record<string, boolean>);
  return {
    ticks: Object.assign({}, ...stored) as Record<string, boolean>,
    problem,
    retry,
    tick: (line, ticked) => {
      void record({ kind: 'first-arc', machineId, body: { day, materialGroup, ticks: { [line]: ticked } } });
    },
  };
}
