/** One dial swept across its travel: what the arc does at each stop, run in the map's workers. */
import { saidIssues } from '../../lib/words.ts';
import type { WireCorrection } from '@fox-tempo/core/metal/arc';
import type { Machine } from '@fox-tempo/core/machine/description';
import type { Program } from '@fox-tempo/core/setting/program';
import { sweepOf, type Cell, type DialSweep, type SweepQuantity } from '@fox-tempo/core/weld/zone-map';
import { useEffect, useMemo, useState } from 'react';
import { mapPool } from '../../workers/map-pool.ts';

/** Measured arc of one stop, s: some forty drops. */
const stopS = 0.3;
/** A hand that still turns is not worth a new sweep, ms. */
const restMs = 200;

export interface Swept {
  /** Undefined where the machine has no dial for it. */
  readonly sweep: DialSweep | undefined;
  /** By stop; null until it has run. */
  readonly cells: readonly (Cell | null)[];
  readonly problem: string | null;
}

export function useSweep(
  machine: Machine | undefined,
  program: Program,
  quantity: SweepQuantity,
  circuitMOhm: number,
  correction: WireCorrection | null,
): Swept {
  const sweep = useMemo(
    () => (machine ? sweepOf(machine, program, quantity) : undefined),
    [machine, program, quantity],
  );
  const [done, setDone] = useState<{
    of: DialSweep | undefined;
    cells: readonly (Cell | null)[];
    problem: string | null;
  }>({
    of: undefined,
    cells: [],
    problem: null,
  });
  useEffect(() => {
    if (!sweep) return undefined;
    const abort = new AbortController();
    const timer = setTimeout(() => {
      void mapPool
        .sweep(
          sweep.stops.map((stop) => stop.program),
          { circuitMOhm, seconds: stopS, ...(correction ? { correction } : {}) },
          { signal: abort.signal, onCells: (cells) => setDone({ of: sweep, cells, problem: null }) },
        )
        .then((outcome) => {
          if (!outcome.ok && !abort.signal.aborted)
            setDone((now) => ({
              ...now,
              problem: saidIssues(outcome.issues),
            }));
        });
    }, restMs);
    return () => {
      clearTimeout(timer);
      abort.abort();
    };
  }, [sweep, circuitMOhm, correction]);
  return { sweep, cells: done.of === sweep ? done.cells : [], problem: done.problem };
}
