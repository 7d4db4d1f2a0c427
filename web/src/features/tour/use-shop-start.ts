/** From an empty shop to the first logged weld: what is still needed, in its order, each with its link; gone with the first weld. */
import type { MachineResource, SeamResource, Stock } from '@fox-tempo/contract';
import { useDoor, useDoorList } from '../../data/queries.ts';
import { t } from '../../lib/words.ts';

interface ShopStartProps {
  readonly machines: readonly MachineResource[];
  readonly seams: readonly SeamResource[];
  readonly stock: Stock;
}

export interface Step {
  readonly name: string;
  readonly why: string;
  readonly to: string;
  readonly isDone: boolean;
}

/** Null until it is known whether anything was ever welded here, and once something was. */
export function useShopStart({ machines, seams, stock }: ShopStartProps): readonly Step[] | null {
  const { data: parts } = useDoorList('parts');
  const { data: runs } = useDoor('runs', { query: { limit: '1' } });
  if (!parts || !runs || runs.items.length > 0) return null;
  const machine = machines.find(({ file }) => file.dials.length > 0);
  const seam = seams.find(({ revision }) => revision !== null) ?? seams[0];
  const isConnected = (one: { readonly machineId: string | null; readonly retired: boolean }) =>
    one.machineId !== null && !one.retired;
  const machineAt = machine === undefined ? '/machines' : `/machines/${machine.id}`;
  const seamAt = seam === undefined ? '/seams?new=1' : `/seams/${seam.id}`;
  return [
    {
      name: t('view.tour.a-part'),
      why: t('view.tour.a-part-why'),
      to: '/shop/parts',
      isDone: parts.some(({ retired }) => !retired),
    },
    {
      name: t('view.tour.a-machine'),
      why: t('view.tour.a-machine-why'),
      to: machine === undefined && machines[0] ? `/machines/${machines[0].id}` : '/machines?new=1',
      isDone: machine !== undefined,
    },
    {
      name: t('view.tour.how-it-is-set'),
      why: t('view.tour.how-it-is-set-why'),
      to: machine === undefined ? machineAt : `${machineAt}/standing`,
      isDone: machines.some(({ standing }) => standing !== null),
    },
    {
      name: t('view.tour.cylinder-and-spool'),
      why: t('view.tour.cylinder-and-spool-why'),
      to: '/library/stock',
      isDone: stock.cylinders.some(isConnected) && stock.spools.some(isConnected),
    },
    { name: t('view.tour.a-seam'), why: t('view.tour.a-seam-why'), to: '/seams?new=1', isDone: seam !== undefined },
    {
      name: t('view.tour.its-setting'),
      why: t('view.tour.its-setting-why'),
      to: seamAt,
      isDone: seams.some(({ revision }) => revision !== null),
    },
    {
      name: t('view.tour.the-first-weld'),
      why: t('view.tour.the-first-weld-why'),
      to: seam?.revision ? `/bench-mode/${seam.id}` : seamAt,
      isDone: false,
    },
  ];
}
