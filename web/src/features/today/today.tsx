/** Today: orders in hand with their seams, the machines as they stand, and what waits for somebody. */
import { amount } from '@fox-tempo/core/said';
import { t, tell } from '../../lib/words.ts';
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
import { Drifted } from './drifted.tsx';
import { DueParts } from './due-parts.tsx';
import { HeldParts } from './held-parts.tsx';
import { WaitsForVerdict } from './waits-for-verdict.tsx';
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
      <PageHead title={t('view.app.today')} line={todayInWords()} />
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
        <Panel
          title={t('view.today.orders-in-hand')}
          aside={
            <Box
              asChild
              textStyle="label"
              color="accent"
              fontWeight={600}
              minHeight="44px"
              my="-3"
              display="inline-flex"
              alignItems="center"
            >
              <Link to="/run-plan">{t('view.run-plan.run-plan')}</Link>
            </Box>
          }
        >
          {orders.length === 0 ? (
            <Notice level="note">{t('view.today.no-order-is-in-hand')}</Notice>
          ) : (
            <Box as="ul" listStyleType="none">
              {orders.map((order) => (
                <OrderRow key={order.id} order={order} seams={seams.filter((seam) => seam.partId === order.partId)} />
              ))}
            </Box>
          )}
        </Panel>
        <Box display="grid" gap="3">
          <Panel title={t('view.today.waits-for-a-setting')}>
            {waiting.length === 0 ? (
              <Box color="quiet" fontSize="13.5px">
                {t('view.today.every-seam-has-a-setting')}
              </Box>
            ) : (
              <Box as="ul" listStyleType="none">
                {waiting.map((seam) => (
                  <SeamLink key={seam.id} seam={seam} detail={seam.partName} />
                ))}
              </Box>
            )}
          </Panel>
          <HeldParts />
          <Drifted />
          <DueParts />
          <WaitsForVerdict />
          <RunningLow stock={stock} machines={machines} seams={seams} />
          <Panel title={t('view.today.machines-as-they-stand')}>
            {machines.length === 0 ? (
              <Notice level="note">{t('view.memory.no-machine-is-described-yet')}</Notice>
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
        <Notice level="caution" word={t('view.today.the-disk-runs-full')}>
          {t('view.today.gb-are-left-where-the', {
            diskFreeBytes: amount('plain', (shop.diskFreeBytes ?? 0) / 1e9, 1),
          })}
        </Notice>
      )}
      {shop.backupTrouble !== null && (
        <Notice level="caution" word={t('view.shop.no-backup-last-night')}>
          {shop.backupTrouble}
        </Notice>
      )}
    </Box>
  );
}

function OrderRow({ order, seams }: { readonly order: Order; readonly seams: readonly SeamResource[] }) {
  const days = daysUntil(order.dueOn);
  const due =
    days < 0
      ? t('view.today.days-late', { days: -days })
      : days === 0
        ? t('view.today.due-today')
        : days === 1
          ? t('view.today.due-tomorrow')
          : t('view.today.due-in-days', { days });
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
            {t('view.today.of', { quantity: order.quantity })}
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
          {t('view.today.done')}
        </Box>
      </Box>
      <Box display="flex" alignItems="center" gap="3" flexWrap="wrap">
        <Box
          role="img"
          aria-label={t('view.today.of-done', { done: order.done, quantity: order.quantity })}
          height="4px"
          bg="line"
          flex="1 1 160px"
        >
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
                ? t('view.today.revision', {
                    filler: fillerOf(seam.revision.program.filler).name,
                    diameter: wireSizeLabel(seam.revision.program.diameterMm),
                    number: seam.revision.number,
                  })
                : t('view.today.no-setting-yet')
            }
          />
        ))}
        {seams.length === 0 && (
          <Box as="li" color="quiet" fontSize="13px">
            {t('view.today.no-seam-of-this-part')}
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
        aria-label={t('view.today.one-more-done', { partName: order.partName })}
        onClick={() => count(1)}
      >
        {t('view.today.one-part-done')}
      </Action>
      <Action
        kind="quiet"
        fontSize="13px"
        disabled={task.busy || order.done === 0}
        aria-label={t('view.today.take-one-back', { partName: order.partName })}
        onClick={() => count(-1)}
      >
        {t('view.today.take-one-back-2')}
      </Action>
      {task.problem !== null && (
        <Box role="alert" color="crimson" fontSize="13px">
          {task.error?.kind === 'unreachable'
            ? t('view.today.not-known-whether-it-was')
            : t('view.today.not-counted-2')}
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
              {standing?.slot === null || standing === null ? '' : t('view.today.slot', { slot: standing.slot })}
            </Box>
          </Box>
          {standing ? (
            <>
              {file.feeders.map(({ id: feederId, label }) => {
                const feeder = standing.feeders[feederId];
                return feeder ? (
                  <Box key={feederId} fontSize="13.5px">
                    {file.feeders.length > 1 ? `${feederId === standing.feederId ? '● ' : '○ '}${label}: ` : ''}
                    {tell(fillerOf(feeder.filler).name)}, {tell(wireSizeLabel(feeder.diameterMm))} ·{' '}
                    {tell(gasName(feeder.gas))}
                  </Box>
                ) : null;
              })}
              <Box color="quiet" fontSize="13px">
                {t('view.machines.entered-2', { since: shopTime(standing.since) })}
              </Box>
            </>
          ) : (
            <Box color="quiet" fontSize="13.5px">
              {t('view.today.nobody-has-entered-what-is')}
            </Box>
          )}
          {file.dials.length === 0 && (
            <Box color="quiet" fontSize="13px">
              {t('view.today.outlined-its-dials-are-not')}
            </Box>
          )}
        </Link>
      </Box>
    </Box>
  );
}
