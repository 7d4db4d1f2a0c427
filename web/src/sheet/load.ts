/** What every view of a seam needs before it shows: the seam, and the machines in use. */
import { api } from '../data/api.ts';

export async function loadSeamAndMachines({
  params,
  request,
}: {
  params: { id?: string | undefined };
  request: Request;
}) {
  const [seam, machines] = await Promise.all([api.seam(params.id ?? '', request.signal), api.machines(request.signal)]);
  return {
    seam,
    /** In use. */
    machines: machines.filter((machine) => !machine.retired),
    /** Still named where something was issued or stored on them. */
    retired: machines.filter((machine) => machine.retired),
  };
}

export type SeamAndMachines = Awaited<ReturnType<typeof loadSeamAndMachines>>;
