/** Today: orders in hand with their seams, the machines as they stand, and what waits for somebody. */
import { Box, Heading } from '@chakra-ui/react';
import type { MachineResource, Order, SeamResource, ShopState } from '@fox-tempo/contract';
import { fillerOf, gasName, wireSizeLabel } from '@fox-tempo/core/consumables';
import { Link, useLoaderData, useRevalidator } from 'react-router';
import { api } from '../../data/api.ts';
import { daysUntil, shopDate, shopTime, todayInWords } from '../../lib/time.ts';
import { useTask } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { PageHead } from '../../ui/page-head.tsx';
import { Panel } from '../../ui/panel.tsx';
import { FirstHour } from '../tour/index.ts';
import { RunningLow } from './running-low.tsx';

export async function loadToday({ request }: { request: Request }) {
  const [orders, machines, seams, stock, shop] = await Promise.all([
    api.orders(request.signal),
    api.machines(request.signal),
    api.seams(request.signal),
    api.stock(request.signal),
    api.shop(request.signal),
  ]);
  return {
    shop,
    orders: orders.filter((order) => !order.closed),
    machines: machines.filter((machine) => !machine.retired),
    seams,
    stock,
  };
}

export function Today() {
  const { shop, orders, machines, seams, stock } = useLoaderData<Awaited<ReturnType<typeof loadToday>>>();
  const waiting = seams.filter((seam) => seam.revision === null);
  return (
    <>
      <PageHead title="Today" line={todayInWords()} />
      <Box
        as="main"
        id="content"
        tabIndex={-1}
        p="3"
        display="grid"
        gap="3"
        gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1.7fr) minmax(0, 1fr)' }}
        alignItems="start"
      >
        <ShopTrouble shop={shop} />
        <FirstHour seams={seams} />
        <Panel title="Orders in hand">
          {orders.length === 0 ? (
            <Notice level="note">No order is in hand.</Notice>
          ) : (
            <Box as="ul" listStyleType="none">
              {orders.map((order) => (
                <OrderRow key={order.id} order={order} seams={seams.filter((seam) => seam.partId === order.partId)} />
              ))}
            </Box>
          )}
        </Panel>
        <Box display="grid" gap="3">
          <Panel title="Waits for a setting">
            {waiting.length === 0 ? (
              <Box color="quiet" fontSize="13.5px">
                Every seam has a setting.
              </Box>
            ) : (
              <Box as="ul" listStyleType="none">
                {waiting.map((seam) => (
                  <SeamLink key={seam.id} seam={seam} detail={seam.partName} />
                ))}
              </Box>
            )}
          </Panel>
          <RunningLow stock={stock} machines={machines} seams={seams} />
          <Panel title="Machines as they stand">
            {machines.length === 0 ? (
              <Notice level="note">No machine is described yet.</Notice>
            ) : (
              <Box as="ul" listStyleType="none">
                {machines.map((machine) => (
                  <MachineRow key={machine.id} machine={machine} />
                ))}
              </Box>
            )}
          </Panel>
        </Box>
      </Box>
    </>
  );
}

/** A disk that runs full, or a night without a backup: said before anything is lost. */
function ShopTrouble({ shop }: { readonly shop: ShopState }) {
  if (!shop.diskIsLow && shop.backupTrouble === null) return null;
  return (
    <Box gridColumn="1 / -1" display="grid" gap="1.5">
      {shop.diskIsLow && (
        <Notice level="caution" word="The disk runs full.">
          {((shop.diskFreeBytes ?? 0) / 1e9).toFixed(1)} GB are left where the shop’s data lie. Free some soon; a full
          disk takes no more records.
        </Notice>
      )}
      {shop.backupTrouble !== null && (
        <Notice level="caution" word="No backup last night.">
          {shop.backupTrouble}
        </Notice>
      )}
    </Box>
  );
}

function OrderRow({ order, seams }: { readonly order: Order; readonly seams: readonly SeamResource[] }) {
  const days = daysUntil(order.dueOn);
  const due =
    days < 0 ? `${-days} days late` : days === 0 ? 'due today' : days === 1 ? 'due tomorrow' : `due in ${days} days`;
  return (
    <Box as="li" borderTopWidth="1px" borderColor="line" _first={{ borderTopWidth: 0, pt: 0 }} py="3">
      <Box display="grid" gridTemplateColumns="minmax(0, 1fr) auto" columnGap="4" alignItems="baseline">
        <Heading as="h3" fontSize="15px" fontWeight={600}>
          {order.partName}
        </Heading>
        <Box textStyle="figure" fontSize="20px">
          {order.done}
          <Box as="span" color="quiet" fontSize="14px">
            {' '}
            of {order.quantity}
          </Box>
        </Box>
        <Box fontSize="13px" color="quiet">
          {order.number} · {shopDate(order.dueOn)},{' '}
          <Box as="span" color={days <= 2 ? 'ochre' : 'quiet'} fontWeight={days <= 2 ? 600 : 400}>
            {days <= 2 ? '◇ ' : ''}
            {due}
          </Box>
        </Box>
        <Box textStyle="label" color="quiet" textAlign="right">
          done
        </Box>
      </Box>
      <Box display="flex" alignItems="center" gap="3" flexWrap="wrap">
        <Box role="img" aria-label={`${order.done} of ${order.quantity} done`} height="4px" bg="line" flex="1 1 160px">
          <Box height="100%" width={`${(100 * Math.min(order.done, order.quantity)) / order.quantity}%`} bg="spruce" />
        </Box>
        <PartDone order={order} />
      </Box>
      <Box as="ul" listStyleType="none">
        {seams.map((seam) => (
          <SeamLink
            key={seam.id}
            seam={seam}
            detail={
              seam.revision
                ? `${fillerOf(seam.revision.program.filler).name}, ${wireSizeLabel(seam.revision.program.diameterMm)}, revision ${seam.revision.number}`
                : '◇ no setting yet'
            }
          />
        ))}
        {seams.length === 0 && (
          <Box as="li" color="quiet" fontSize="13px">
            No seam of this part is described yet.
          </Box>
        )}
      </Box>
    </Box>
  );
}

/** One tap a part: the order counts up, gas and wire count down; the same tap back when it was a slip. */
function PartDone({ order }: { readonly order: Order }) {
  const task = useTask();
  const { revalidate } = useRevalidator();
  const count = (by: number) =>
    void task.run(async () => {
      await api.partsDone(order.id, by);
      await revalidate();
    });
  return (
    <Box display="flex" gap="1" alignItems="center" flexWrap="wrap">
      <Action
        disabled={task.busy}
        fontSize="13px"
        aria-label={`One more ${order.partName} done`}
        onClick={() => count(1)}
      >
        One part done
      </Action>
      <Action
        kind="quiet"
        fontSize="13px"
        disabled={task.busy || order.done === 0}
        aria-label={`Take one ${order.partName} back`}
        onClick={() => count(-1)}
      >
        Take one back
      </Action>
      {task.problem !== null && (
        <Box role="alert" color="crimson" fontSize="13px">
          {task.error?.kind === 'unreachable' ? '◇ Not known whether it was counted. ' : '✕ Not counted. '}
          {task.error?.kind === 'unreachable' ? task.error.message : task.problem}
        </Box>
      )}
    </Box>
  );
}

function SeamLink({ seam, detail }: { readonly seam: SeamResource; readonly detail: string }) {
  return (
    <Box as="li">
      <Box
        asChild
        display="flex"
        justifyContent="space-between"
        alignItems="center"
        gap="3"
        minHeight="44px"
        px="2"
        mx="-2"
        color="ink"
        borderRadius="3px"
        fontSize="14px"
        _hover={{ bg: 'accentSoft' }}
      >
        <Link to={`/seams/${seam.id}`}>
          <Box as="span" textDecoration="underline" textDecorationColor="line" textUnderlineOffset="3px">
            {seam.spec.name}
          </Box>
          <Box as="span" fontSize="13px" color="quiet" textAlign="right">
            {detail}
          </Box>
        </Link>
      </Box>
    </Box>
  );
}

function MachineRow({ machine: { id, file, standing } }: { readonly machine: MachineResource }) {
  return (
    <Box as="li" borderTopWidth="1px" borderColor="line" _first={{ borderTopWidth: 0, pt: 0 }}>
      <Box asChild display="block" px="2" mx="-2" py="2" color="ink" borderRadius="3px" _hover={{ bg: 'accentSoft' }}>
        <Link to={`/machines/${id}`}>
          <Box display="flex" justifyContent="space-between" alignItems="baseline" gap="3">
            <Heading as="h3" textStyle="heading">
              {file.name}
            </Heading>
            <Box fontSize="13px" color="quiet">
              {file.place}
              {standing?.slot === null || standing === null ? '' : ` · slot ${standing.slot}`}
            </Box>
          </Box>
          {standing ? (
            <>
              {file.feeders.map(({ id: feederId, label }) => {
                const feeder = standing.feeders[feederId];
                return feeder ? (
                  <Box key={feederId} fontSize="13.5px">
                    {file.feeders.length > 1 ? `${feederId === standing.feederId ? '● ' : '○ '}${label}: ` : ''}
                    {fillerOf(feeder.filler).name}, {wireSizeLabel(feeder.diameterMm)} · {gasName(feeder.gas)}
                  </Box>
                ) : null;
              })}
              <Box color="quiet" fontSize="13px">
                entered {shopTime(standing.since)}
              </Box>
            </>
          ) : (
            <Box color="quiet" fontSize="13.5px">
              Nobody has entered what is on it.
            </Box>
          )}
          {file.dials.length === 0 && (
            <Box color="quiet" fontSize="13px">
              Outlined: its dials are not described yet.
            </Box>
          )}
        </Link>
      </Box>
    </Box>
  );
}
