/** A trial that follows another: the move it was begun with, and work that is done once. */
import type { DiagnosisAnswer, TrialBody } from '@fox-tempo/contract';
import { useEffect, useRef } from 'react';
import { useEndpoint } from '../../data/queries.ts';

interface After {
  readonly move: DiagnosisAnswer['moves'][number];
  readonly record: NonNullable<TrialBody['after']>;
  readonly dials: Readonly<globalThis.Record<string, number>> | undefined;
}

/** The move that was chosen after another trial, with what it should bring. */
export function useAfter(trial: string | null, code: string | null): After | null {
  const { data } = useEndpoint('diagnosis', { params: { id: trial ?? '' } }, trial !== null);
  if (trial === null || code === null) return null;
  const move = data?.moves.find((one) => one.code === code);
  if (!move) return null;
  const { displayedCurrentA, displayedVoltageV, legMm, travelMmPerMin } = move.predicted;
  return {
    move,
    record: {
      trial,
      move: code,
      mends: move.mends,
      predicted: { displayedCurrentA, displayedVoltageV, legMm, travelMmPerMin },
    },
    dials: move.dialId !== undefined && move.dialValue !== undefined ? { [move.dialId]: move.dialValue } : undefined,
  };
}

export function useOnce(when: boolean, act: () => void): void {
  const done = useRef(false);
  useEffect(() => {
    if (!when || done.current) return;
    done.current = true;
    act();
  });
}
