/** Stops as they were seen on this machine for this seam: in the shop's record, so that every screen sees them. */
import { t } from '../../../lib/words.ts';
import { recordedKinds } from '@fox-tempo/contract';
import type { StopSeen } from '@fox-tempo/core/weld/score';
import { useEffect, useRef } from 'react';
import { onTheWay, useObserved } from '../../../data/use-observed.ts';
import { useKeptForm } from '../../../ui/kept-text.ts';

export interface Stops {
  /** The oldest first. */
  readonly stops: readonly StopSeen[];
  readonly problem: string | null;
  add: (stop: StopSeen) => void;
  takeLastBack: () => void;
  /** Sends again what did not reach the record. */
  retry: () => void;
}

/** How many stops the next burn-back is judged by. */
const counted = 20;

export function useStops(seamId: string, machineId: string | undefined): Stops {
  const where = { seam: seamId, ...(machineId === undefined ? {} : { machine: machineId }) };
  const { rows, problem, record, retry } = useObserved('burn-back-stop', where, counted);
  const place = { seamId, ...(machineId === undefined ? {} : { machineId }) };
  const add = (body: StopSeen) => record({ kind: 'burn-back-stop', body, ...place });
  useOlderStops(seamId, machineId, add);
  const last = rows?.filter(({ row }) => row !== onTheWay).at(-1);
  return {
    stops: (rows ?? []).flatMap(({ body }) => {
      const read = recordedKinds['burn-back-stop'].safeParse(body);
      return read.success ? [read.data] : [];
    }),
    problem,
    retry,
    add: (stop) => void add(stop),
    takeLastBack: () => {
      if (last)
        void record({ kind: 'withdrawal', corrects: last.id, body: { why: t('view.sequence.a-slip') }, ...place });
    },
  };
}

/** Stops that an older version kept on this device go into the record once. */
function useOlderStops(seamId: string, machineId: string | undefined, add: (stop: StopSeen) => Promise<boolean>): void {
  const [kept, , forget] = useKeptForm<{ stops: StopSeen[] }>(`stops/${seamId}/${machineId ?? 'none'}`, { stops: [] });
  const begun = useRef(false);
  useEffect(() => {
    if (begun.current || kept.stops.length === 0) return;
    begun.current = true;
    void (async () => {
      for (const stop of kept.stops) if (!(await add(stop))) return;
      forget();
    })();
  }, [kept, add, forget]);
}
