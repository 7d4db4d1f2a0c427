/** Today: orders in hand with their seams, the machines as they stand, and what waits for somebody. */
import { amount } from '@fox-tempo/core/base/messages';
import { t } from '../../lib/words.ts';
import { Box, Heading } from '@chakra-ui/react';
import type { CountQuestion, Order, SeamResource, ShopState } from '@fox-tempo/contract';
import { fillerOf, wireSizeLabel } from '@fox-tempo/core/metal/consumables';
import { lazy, Suspense, useState } from 'react';
import { Link, useLoaderData } from 'react-router';
import { useStore } from 'zustand';
import { api } from '../../data/api.ts';
import { useKept, useKeptList } from '../../data/queries.ts';
import { daysUntil, shopDate, todayInWords } from '../../lib/time.ts';
import { useTask } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { waitingRecords } from '../../data/outbox/index.ts';
import { Notice } from '../../ui/notice.tsx';
import { Page } from '../../ui/page.tsx';
import { Panel } from '../../ui/panel.tsx';
import { FirstHour, loadShopStart, useIsNewShop } from '../../parts/tour/index.ts';
import { Drifted } from './drifted.tsx';
import { DueParts } from './due-parts.tsx';
import { HandedOver } from './handed-over.tsx';
import { HeldParts } from './held-parts.tsx';
import { WaitsForVerdict } from './waits-for-verdict.tsx';
import { LookGroup, LookRow } from './look-group.tsx';
import { NextOnMachines } from './next-on.tsx';
import { RunningLow } from './running-low.tsx';
import { Unfold } from '../../ui/unfold.tsx';

const ShopStart = lazy(loadShopStart);
const tall = { minHeight: '44px', display: 'inline-flex', alignItems: 'center' } as const;

export async function loadToday({ request }: { request: Request }) {
  const [orders, machines, seams, stock, shop] = await Promise.all([
    api.orders(request.signal),
    api.machines(request.signal),
    api.seams(request.signal),
    api.stock(request.signal),
    api.shop(request.signal),
  ]);
  return { shop, orders, machines, seams, stock };
}

export function Today() {
  const loaded = useLoaderData<Awaited<ReturnType<typeof loadToday>>>();
  const { shop } = loaded;
  const [allOrders] = useKeptList('orders', loaded.orders);
  const [allMachines] = useKeptList('machines', loaded.machines);
  const [seams] = useKeptList('seams', loaded.seams);
  const [stock] = useKept('stock', loaded.stock);
  const orders = allOrders.filter((order) => !order.closed);
  const machines = allMachines.filter((machine) => !machine.retired);
  const isNew = useIsNewShop();
  return (
    <Page
      title={t('view.app.today')}
      line={todayInWords()}
      acts={[
        { to: '/shift', name: t('view.shift.title') },
        { to: '/run-plan', name: t('view.run-plan.run-plan') },
        { to: '/runs', name: t('view.runs.production') },
        { to: '/costs', name: t('view.costs.costs') },
      ].map(({ to, name }) => (
        <Box asChild key={to} color="accent" fontWeight={600} fontSize="text" px="2" {...tall}>
          <Link to={to}>{name}</Link>
        </Box>
      ))}
      gridTemplateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1.5fr) minmax(0, 1fr)' }}
      alignItems="start"
    >
      <ShopTrouble shop={shop} />
      {isNew ? (
        <Suspense fallback={null}>
          <ShopStart machines={machines} seams={seams} stock={stock} />
        </Suspense>
      ) : (
        <FirstHour seams={seams} />
      )}
      <NextOnMachines orders={orders} machines={machines} seams={seams} stock={stock} />
      <Panel title={t('view.today.orders-in-hand')} py="2">
        {orders.length === 0 ? (
          <Notice level="note">
            {t('view.today.no-order')} <Link to="/shop/orders">{t('view.today.add-an-order')}</Link>
          </Notice>
        ) : (
          <Box as="ul" listStyleType="none">
            {orders.map((order) => (
              <OrderRow key={order.id} order={order} seams={seams.filter((seam) => seam.partId === order.partId)} />
            ))}
          </Box>
        )}
      </Panel>
      <Panel title={t('view.today.attention')} py="2">
        <Box display="grid" gap="1">
          <HeldParts />
          <HandedOver />
          <Drifted />
          <DueParts />
          <WaitsForVerdict />
          <WaitsForSetting seams={seams} />
          <RunningLow stock={stock} machines={machines} seams={seams} />
        </Box>
      </Panel>
    </Page>
  );
}

/** Seams that nobody gave a setting yet. */
function WaitsForSetting({ seams }: { readonly seams: readonly SeamResource[] }) {
  const waiting = seams.filter((seam) => seam.revision === null);
  return (
    <LookGroup
      title={t('view.today.no-setting')}
      rows={waiting.map((seam) => (
        <LookRow key={seam.id} to={`/seams/${seam.id}`} name={seam.spec.name} detail={seam.partName} />
      ))}
      more="/seams"
    />
  );
}

/** A disk that runs full, or a night without a backup: said before anything is lost. */
function ShopTrouble({ shop }: { readonly shop: ShopState }) {
  if (!shop.diskIsLow && shop.backupTrouble === null) return null;
  return (
    <Box gridColumn="1 / -1" display="grid" gap="1.5">
      {shop.diskIsLow && (
        <Notice level="caution" word={t('view.today.disk-full')}>
          {t('view.today.disk-full-why', {
            diskFreeBytes: amount('plain', (shop.diskFreeBytes ?? 0) / 1e9, 1),
          })}
        </Notice>
      )}
      {shop.backupTrouble !== null && (
        <Notice level="caution" word={t('view.shop.backup-missing')}>
          {shop.backupTrouble}
        </Notice>
      )}
    </Box>
  );
}

function OrderRow({ order, seams }: { readonly order: Order; readonly seams: readonly SeamResource[] }) {
  const [isOpen, setOpen] = useState(false);
  const counting = useCounting(order);
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
    <Box as="li" borderTopWidth="1px" borderColor="line" _first={{ borderTopWidth: 0 }} py="1.5">
      <Box display="grid" gridTemplateColumns="minmax(0, 1fr) auto" columnGap="3" alignItems="center">
        <Box minWidth={0}>
          <Box display="flex" justifyContent="space-between" gap="3" alignItems="baseline">
            <Heading as="h3" fontSize="body" fontWeight={600}>
              {order.partName}
            </Heading>
            <Box textStyle="figure" fontSize="title" flexShrink={0}>
              {order.done}
              <Box as="span" color="quiet" fontSize="text">
                {' '}
                {t('view.today.of', { quantity: order.quantity })}
              </Box>
            </Box>
          </Box>
          <Box fontSize="small" color="quiet">
            {order.number} · {shopDate(order.dueOn)},{' '}
            <Box as="span" color={days <= 2 ? 'ochre' : 'quiet'} fontWeight={days <= 2 ? 600 : 400}>
              {days <= 2 ? '◇ ' : ''}
              {due}
            </Box>
          </Box>
          <Box
            role="img"
            aria-label={t('view.today.of-done', { done: order.done, quantity: order.quantity })}
            height="4px"
            bg="line"
            mt="1"
          >
            <Box
              height="100%"
              width={`${(100 * Math.min(order.done, order.quantity)) / order.quantity}%`}
              bg="spruce"
            />
          </Box>
        </Box>
        <Box display="flex" gap="1" alignItems="center">
          <PartDone counting={counting} />
          <Action
            kind="quiet"
            minWidth="44px"
            fontSize="small"
            aria-expanded={isOpen}
            aria-label={t('view.today.seams', { partName: order.partName })}
            onClick={() => setOpen(!isOpen)}
          >
            <Unfold open={isOpen} />
          </Action>
        </Box>
      </Box>
      <CountSaid counting={counting} />
      {isOpen && (
        <Box as="ul" listStyleType="none">
          {seams.map((seam) => (
            <LookRow
              key={seam.id}
              to={`/seams/${seam.id}`}
              name={seam.spec.name}
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
            <Box as="li" color="quiet" fontSize="small">
              {t('view.today.no-seam')}
            </Box>
          )}
        </Box>
      )}
    </Box>
  );
}

/** One tap a part: the order counts up, gas and wire count down; the same tap back when it was a slip. */
function useCounting(order: Order) {
  const task = useTask();
  const count = (by: number, confirmed?: readonly CountQuestion[]) =>
    void task.run(async () => {
      await api.partsDone(order.id, { count: by, ...(confirmed ? { confirmed: [...confirmed] } : {}) });
    });
  const waits = useStore(
    waitingRecords,
    ({ entries }) =>
      entries.filter(
        ({ name, params, refused }) => name === 'partsDone' && params['id'] === order.id && refused === null,
      ).length,
  );
  const asked = task.error?.kind === 'ask-first' ? (task.error.problem.issues ?? []) : null;
  return { order, task, count, waits, asked };
}
type Counting = ReturnType<typeof useCounting>;

function PartDone({ counting: { order, task, count } }: { readonly counting: Counting }) {
  return (
    <Box display="flex" gap="1" alignItems="center" flexWrap="wrap" justifyContent="flex-end">
      <Action
        disabled={task.busy}
        fontSize="small"
        aria-label={t('view.today.one-more-done', { partName: order.partName })}
        onClick={() => count(1)}
      >
        {t('view.today.one-part-done')}
      </Action>
      <Action
        kind="quiet"
        fontSize="small"
        disabled={task.busy || order.done === 0}
        aria-label={t('view.today.take-one-back', { partName: order.partName })}
        onClick={() => count(-1)}
      >
        {t('view.today.take-back')}
      </Action>
    </Box>
  );
}

/** What became of a tap, or what is asked first: under the whole row, where there is room for a sentence. */
function CountSaid({ counting: { task, count, waits, asked } }: { readonly counting: Counting }) {
  return (
    <>
      {waits > 0 && !task.busy && (
        <Box role="status" color="ochre" fontSize="small" textAlign="end">
          {t('view.today.counts-wait', { count: waits })}
        </Box>
      )}
      {asked && (
        <Box role="alertdialog" aria-label={t('view.today.question-first')} display="grid" gap="2" mt="1">
          <Notice level="caution" word={t('view.today.question-first')}>
            {task.problem}
          </Notice>
          <Box display="flex" gap="2" justifyContent="flex-end">
            <Action
              kind="main"
              disabled={task.busy}
              onClick={() => count(1, asked.map(({ code }) => code) as CountQuestion[])}
            >
              {t('view.today.count-yes')}
            </Action>
            <Action onClick={task.clear}>{t('view.today.count-no')}</Action>
          </Box>
        </Box>
      )}
      {task.problem !== null && !asked && (
        <Box role="alert" color="crimson" fontSize="small">
          {t('view.today.not-counted-mark')} {task.problem}
        </Box>
      )}
    </>
  );
}
