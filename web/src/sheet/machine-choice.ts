/** Which machine's card stands beside a seam: the one last taken for it here, else the one with the least to change over. */
import type { MachineResource, SeamResource } from '@fox-tempo/contract';
import type { Program } from '@fox-tempo/core/setting/program';
import { changeover } from '@fox-tempo/core/machine/setup';
import { useMemo } from 'react';
import { standingMachine, type StandingMachine } from './standing-machine.ts';
import { useSettings } from '../session/settings.ts';
import { settingOf } from '@fox-tempo/core/site';
import { useShopSite } from './plan-site.ts';
import { sheetOf } from './sheet.ts';

/** The one chosen, else the first that is described. */
export function chosenMachine(
  machines: readonly MachineResource[],
  machineId: string | null,
): StandingMachine | undefined {
  const inUse = machines.filter((one) => !one.retired);
  const found = inUse.find((one) => one.id === machineId) ?? inUse.find((one) => one.file.dials.length > 0) ?? inUse[0];
  return found && standingMachine(found);
}

/** Minutes until the machine could weld the program; none where its dials or how it stands are not known. */
function minutesTo({ file, standing }: MachineResource, program: Program): number {
  if (!standing || file.dials.length === 0) return Number.POSITIVE_INFINITY;
  return changeover(file, standing, program).minutes;
}

/** The machine with the least to change for a program; of equals the one that stands here already. */
export function leastChangeover(
  machines: readonly MachineResource[],
  program: Program,
  hereId: string | null,
): MachineResource | undefined {
  const ranked = machines
    .filter((one) => !one.retired)
    .map((machine) => ({ machine, minutes: minutesTo(machine, program), isHere: machine.id === hereId }))
    .filter(({ minutes }) => Number.isFinite(minutes))
    .sort((a, b) => a.minutes - b.minutes || Number(b.isHere) - Number(a.isHere));
  return ranked[0]?.machine;
}

export function useMachineFor(machines: readonly MachineResource[], seam: SeamResource): StandingMachine | undefined {
  const hereId = useSettings((state) => state.machineId);
  const lastId = useSettings((state) => state.machineOfSeam[seam.id]);
  const shop = useShopSite();
  // A seam without a setting is asked about as its sheet would first plan it.
  const program = useMemo(() => {
    if (seam.revision) return seam.revision.program;
    const { spec, choice } = sheetOf(seam);
    const setting = settingOf(spec, choice, shop);
    return setting.ok ? setting.value.program : null;
  }, [seam, shop]);
  return useMemo(() => {
    const last = machines.find((one) => one.id === lastId && !one.retired);
    const offered = last ?? (program ? leastChangeover(machines, program, hereId) : undefined);
    return offered ? standingMachine(offered) : chosenMachine(machines, hereId);
  }, [machines, hereId, lastId, program]);
}
