/** What runs at the bench: the arc of the setting, of the one held, and of what is imagined, each simulated in the worker. */
import { calibrationOf, type WireCorrection, nominalCircuitMOhm } from '@fox-tempo/core/metal/arc';
import { simulationOf } from '@fox-tempo/core/machine/dials';
import { type Program } from '@fox-tempo/core/setting/program';
import type { SimulationInput } from '@fox-tempo/core/weld/simulation';
import { whatIfInput, type WhatIf } from '@fox-tempo/core/machine/tuning';
import { useCallback, useMemo, useState } from 'react';
import type { StandingMachine } from '../../sheet/standing-machine.ts';
import { useArc, type ArcRun, type ArcRunState } from './use-arc.ts';

/** Measured arc: some hundred drops, and a whole slow beat where there is one. */
const runS = 0.5;

export interface Bench {
  readonly circuitMOhm: number;
  /** As calibrated on this machine, or by hand; null: the table's wire. */
  readonly correction: WireCorrection | null;
  correctByHand: (correction: WireCorrection | null) => void;
  readonly ghost: Program | null;
  hold: (program: Program | null) => void;
  readonly changes: ReadonlySet<WhatIf>;
  toggle: (change: WhatIf) => void;
  readonly otherGas: string;
  setOtherGas: (gas: string) => void;
  readonly arc: ArcRunState;
  /** The setting's own arc, the last that ran. */
  readonly steady: ArcRun | null;
  readonly held: ArcRun | null;
  readonly imagined: ArcRun | null;
  readonly imaginedProblem: string | null;
  runAgain: () => void;
}

export function useBench(
  program: Program | null,
  machine: StandingMachine | undefined,
  savedGas: string | undefined,
): Bench {
  const [ghost, hold] = useState<Program | null>(null);
  const [changes, setChanges] = useState<ReadonlySet<WhatIf>>(new Set());
  const [otherGas, setOtherGas] = useState(savedGas === 'C1' ? 'M21-ArC-18' : 'C1');
  // undefined: as calibrated on this machine; null: the table's wire, by hand.
  const [byHand, correctByHand] = useState<WireCorrection | null | undefined>(undefined);
  const [attempt, setAttempt] = useState(0);
  const circuitMOhm = machine?.file.circuitMOhm ?? nominalCircuitMOhm;
  const recorded = machine && program ? calibrationOf(machine.file.corrections, program) : undefined;
  const correction = byHand === undefined ? (recorded ?? null) : byHand;

  const input = useMemo(
    () => (program ? arcInput(program, circuitMOhm, correction) : null),
    [program, circuitMOhm, correction],
  );
  const arc = useArc(input, attempt);
  const ghostInput = useMemo(
    () => (ghost ? arcInput(ghost, circuitMOhm, correction) : null),
    [ghost, circuitMOhm, correction],
  );
  const ghostArc = useArc(ghostInput, attempt);
  const changedInput = useMemo((): SimulationInput | null => {
    if (!program || changes.size === 0) return null;
    const changed = whatIfInput(program, changes, { circuitMOhm, seconds: runS, seed: 7, otherGas });
    return correction ? { ...changed, correction } : changed;
  }, [program, changes, circuitMOhm, otherGas, correction]);
  const changedArc = useArc(changedInput, attempt);
  const toggle = useCallback(
    (change: WhatIf) =>
      setChanges((now) => {
        const next = new Set(now);
        if (!next.delete(change)) next.add(change);
        return next;
      }),
    [],
  );
  return {
    circuitMOhm,
    correction,
    correctByHand,
    ghost,
    hold,
    changes,
    toggle,
    otherGas,
    setOtherGas,
    arc,
    steady: arc.kind === 'ready' ? arc.run : arc.kind === 'failed' ? arc.before : null,
    held: ghostInput && ghostArc.kind === 'ready' ? ghostArc.run : null,
    imagined: changedInput && changedArc.kind === 'ready' ? changedArc.run : null,
    imaginedProblem: changedInput && changedArc.kind === 'failed' ? changedArc.message : null,
    runAgain: useCallback(() => setAttempt((now) => now + 1), []),
  };
}

function arcInput(program: Program, circuitMOhm: number, correction: WireCorrection | null): SimulationInput {
  const seconds = program.slowBeat ? Math.min(Math.max(runS, 2 / program.slowBeat.frequencyHz), 4) : runS;
  const input = simulationOf(program, { circuitMOhm, seconds, seed: 7 });
  return correction ? { ...input, correction } : input;
}
