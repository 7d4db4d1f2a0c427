/** What stands behind one card at the machine: seam, machines, open orders of its part, stock, and the revision that is in force. */
import type { Revision } from '@fox-tempo/contract';
import { api } from '../../data/api.ts';
import { loadSeamAndMachines } from '../../sheet/load.ts';

export async function loadBenchMode({ params, request }: { params: { id?: string | undefined }; request: Request }) {
  const [{ seam, machines }, orders, stock] = await Promise.all([
    loadSeamAndMachines({ params, request }),
    api.orders(request.signal),
    api.stock(request.signal),
  ]);
  const wanted = new URL(request.url).searchParams.get('machine');
  const numbers = seam.issued.map(({ revision }) => revision);
  // The reference in force may be older than what was saved last.
  const older: readonly Revision[] = numbers.some((number) => number !== seam.revision?.number)
    ? (await api.revisions(seam.id, request.signal)).filter(({ number }) => numbers.includes(number))
    : [];
  return {
    seam,
    machines,
    wanted,
    older,
    stock,
    orders: orders
      .filter((order) => !order.closed && order.partId === seam.partId)
      .sort((a, b) => a.dueOn.localeCompare(b.dueOn)),
  };
}

export type BenchModeData = Awaited<ReturnType<typeof loadBenchMode>>;
