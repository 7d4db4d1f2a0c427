/** What shop and machine bring to a plan: leads, the machine's ceiling, and which thickness the shop counts. */
import type { MachineResource, PlanSite } from '@fox-tempo/contract';
import { useMemo } from 'react';
import { useStore } from 'zustand';
import { session } from '../lib/session.ts';

export function usePlanSite(machine: MachineResource | undefined): PlanSite {
  const thicknessRule = useStore(session, ({ state }) => state?.shop.thicknessRule);
  const file = machine?.file;
  return useMemo(
    () => ({
      thicknessRule,
      ...(file
        ? {
            circuitMOhm: file.circuitMOhm,
            ceiling: { maxCurrentA: file.limits.peakCurrentA, wireFeedMPerMin: file.limits.wireFeedMPerMin },
          }
        : {}),
    }),
    [file, thicknessRule],
  );
}
