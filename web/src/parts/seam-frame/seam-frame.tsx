/** A view of a seam as it is stored, with the chosen machine's dial card beside it. */
import type { MachineResource, SeamResource } from '@fox-tempo/contract';
import { useMemo, type ReactNode } from 'react';
import type { StandingMachine } from '../../sheet/standing-machine.ts';
import { BesideCard } from './beside-card.tsx';
import { SeamHead } from './seam-head.tsx';

export interface SeamFrameProps {
  readonly seam: SeamResource;
  readonly machines: readonly MachineResource[];
  readonly machine: StandingMachine | undefined;
  readonly title: string;
  readonly line: ReactNode;
  readonly children: ReactNode;
}

export function SeamFrame({ seam, machines, machine, title, line, children }: SeamFrameProps) {
  const print = useMemo(() => ({ seamId: seam.id, isSaved: true }), [seam.id]);
  return (
    <>
      <SeamHead seam={seam} title={title} line={line} />
      <BesideCard
        machines={machines}
        program={seam.revision?.program ?? null}
        print={print}
        windows={seam.windows}
        machine={machine}
        hasStrip={false}
      >
        {children}
      </BesideCard>
    </>
  );
}
