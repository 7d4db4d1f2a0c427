/** Nothing while nothing waits: the first view need not carry what is seldom there. */
import { lazy, Suspense } from 'react';
import { useStore } from 'zustand';
import { waitingRecords } from '../../data/outbox/index.ts';

const Line = lazy(async () => ({ default: (await import('./waiting-line.tsx')).WaitingLine }));

export function WaitingLine() {
  const isEmpty = useStore(waitingRecords, ({ entries }) => entries.length === 0);
  if (isEmpty) return null;
  return (
    <Suspense fallback={null}>
      <Line />
    </Suspense>
  );
}
