/** What an order takes by the plan and what it really took, seam by seam; another way of each beside it. */
import { Box } from '@chakra-ui/react';
import type { MachineResource, Order, Run, SeamResource, ShopState } from '@fox-tempo/contract';
import { amount } from '@fox-tempo/core/base/messages';
import {
  type CostSite,
  foundOf,
  type Money,
  moneyOf,
  moneySum,
  nothingTaken,
  plus,
  type Takes,
  takesOf,
  times,
} from '@fox-tempo/core/day/costs';
import { handlingMinutes } from '@fox-tempo/core/day/plan';
import { usualLife } from '@fox-tempo/core/machine/wear';
import { planSetting } from '@fox-tempo/core/setting/plan';
import { questionOf } from '@fox-tempo/core/site';
import { useMemo } from 'react';
import { useLoaderData, useSearchParams } from 'react-router';
import { api } from '../../data/api.ts';
import { useEndpoint, useEndpointList } from '../../data/queries.ts';
import { format, t } from '../../lib/words.ts';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Page } from '../../ui/page.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Heads, Table } from '../../ui/table.tsx';
import { OfClass } from './of-class.tsx';
import { RatesForm } from './rates-form.tsx';
import { heads, type Line, OtherWays, TakesRow } from './takes-row.tsx';

export async function loadCosts({ request }: { request: Request }) {
  const [orders, seams, shop, machines] = await Promise.all([
    api.orders(request.signal),
    api.seams(request.signal),
    api.shop(request.signal),
    api.machines(request.signal),
  ]);
  return { orders, seams, shop, machines };
}

/** Where no machine holds a reference of the seam: the resistance that a machine takes for granted. */
const usualCircuitMOhm = 15;

/** Leads of the machine that the seam's newest reference stands on, as measured last. */
function leadsOf({ issued }: SeamResource, machines: readonly MachineResource[]): number {
  const machine = machines.find(({ id }) => id === issued.at(-1)?.machineId);
  return machine ? (machine.leadMOhm ?? machine.file.circuitMOhm) : usualCircuitMOhm;
}

export function Costs() {
  const { orders, seams, shop, machines } = useLoaderData<Awaited<ReturnType<typeof loadCosts>>>();
  const [params, setParams] = useSearchParams();
  const order =
    orders.find(({ id }) => id === params.get('order')) ?? orders.find(({ closed }) => !closed) ?? orders[0];
  return (
    <Page title={t('view.costs.costs')} line={t('view.costs.planned-and-found')}>
      {order ? (
        <>
          <Box maxWidth="420px">
            <ChoiceField
              label={t('view.at-machine.order')}
              value={order.id}
              choices={orders.map(({ id, number, partName }) => ({ value: id, label: `${number}, ${partName}` }))}
              onChange={(id) => setParams({ order: id }, { replace: true })}
            />
          </Box>
          <OfOrder key={order.id} order={order} seams={seams} shop={shop} machines={machines} />
        </>
      ) : (
        <Notice level="note">{t('view.today.no-order')}</Notice>
      )}
      <RatesForm key={shop.version} shop={shop} />
    </Page>
  );
}

function OfOrder({
  order,
  seams,
  shop,
  machines,
}: {
  readonly order: Order;
  readonly seams: readonly SeamResource[];
  readonly shop: ShopState;
  readonly machines: readonly MachineResource[];
}) {
  // All of them: a sum over the first page would pass for the whole.
  const { data: runs, error: runsTrouble } = useEndpointList('runs', { query: { order: order.id } });
  const { data: wear } = useEndpoint('wear', {});
  const tipLife = wear?.parts.find(({ part }) => part === 'contact-tip')?.life.expected ?? usualLife['contact-tip'];
  const lines = useMemo(
    () =>
      seams
        .filter((seam) => seam.partId === order.partId)
        .flatMap((seam): Line[] => {
          const site: CostSite = { circuitMOhm: leadsOf(seam, machines), handlingMinutes, tipLife };
          const piece = pieceOf(seam, site);
          if (!piece) return [];
          const welds = (runs ?? []).filter((run) => run.seamId === seam.id && run.state !== 'slip').map(welded);
          return [{ seam, site, piece, found: foundOf(welds, piece) }];
        }),
    [seams, order, machines, tipLife, runs],
  );
  if (lines.length === 0) return <Notice level="note">{t('view.costs.no-seam')}</Notice>;
  const whole = lines.reduce((sum, { piece }) => plus(sum, times(piece, order.quantity)), nothingTaken);
  const planned = lines.reduce((sum, { found }) => plus(sum, found.planned), nothingTaken);
  const found = lines.reduce((sum, one) => plus(sum, one.found.found), nothingTaken);
  const money = (scale: (line: Line) => Takes): Money | null =>
    shop.rates &&
    moneySum(
      lines.flatMap((line) => {
        const { program } = line.seam.revision ?? {};
        return program && shop.rates ? [moneyOf(scale(line), program, shop.rates)] : [];
      }),
    );
  const welds = lines.reduce((sum, line) => sum + line.found.welds, 0);
  return (
    <>
      <Panel title={t('view.costs.by-the-plan', { count: order.quantity, part: order.partName })}>
        <Table label={t('view.costs.by-the-plan', { count: order.quantity, part: order.partName })}>
          <Heads names={heads(shop)} right={heads(shop).slice(1)} />
          <tbody>
            {lines.map(({ seam, piece }) => (
              <TakesRow
                key={seam.id}
                name={seam.spec.name}
                to={`/seams/${seam.id}`}
                takes={piece}
                metres={seam.spec.lengthMm / 1000}
                money={shop.rates && seam.revision ? moneyOf(piece, seam.revision.program, shop.rates) : null}
                shop={shop}
              />
            ))}
            <TakesRow
              name={t('view.costs.the-order', { count: order.quantity })}
              takes={whole}
              money={money(({ piece }) => times(piece, order.quantity))}
              shop={shop}
              isSum
            />
          </tbody>
        </Table>
        <Box fontSize="label" color="quiet" mt="1">
          {t('view.costs.without-changeovers', { handling: amount('minutes', handlingMinutes, 0) })}
        </Box>
      </Panel>
      <OfClass lines={lines} order={order} shop={shop} />
      <Panel title={runs ? t('view.costs.really-took', { count: welds }) : t('view.costs.logged-welds')}>
        {runsTrouble ? (
          <Notice level="refusal" urgent>
            {format(runsTrouble.problem.title)}
          </Notice>
        ) : !runs ? (
          <Box color="quiet" fontSize="text" role="status">
            {t('view.today.counting')}
          </Box>
        ) : welds === 0 ? (
          <Box color="quiet" fontSize="text">
            {t('view.costs.nothing-logged')}
          </Box>
        ) : (
          <>
            <Table label={t('view.costs.really-took', { count: welds })}>
              <Heads names={heads(shop, false)} right={heads(shop, false).slice(1)} />
              <tbody>
                {lines
                  .filter((line) => line.found.welds > 0)
                  .map((line) => (
                    <TakesRow
                      key={line.seam.id}
                      name={t('view.today.pieces', { count: line.found.welds, seam: line.seam.spec.name })}
                      takes={line.found.found}
                      against={line.found.planned}
                      money={
                        shop.rates && line.seam.revision
                          ? moneyOf(line.found.found, line.seam.revision.program, shop.rates)
                          : null
                      }
                      shop={shop}
                    />
                  ))}
                <TakesRow
                  name={t('view.costs.together')}
                  takes={found}
                  against={planned}
                  money={money((line) => line.found.found)}
                  shop={shop}
                  isSum
                />
              </tbody>
            </Table>
            <Box fontSize="label" color="quiet" mt="1">
              {t('view.costs.timed', { timed: lines.reduce((sum, line) => sum + line.found.timed, 0), welds })}
            </Box>
          </>
        )}
      </Panel>
      <OtherWays lines={lines} shop={shop} />
    </>
  );
}

function pieceOf({ revision }: SeamResource, site: CostSite): Takes | null {
  if (!revision?.use) return null;
  const plan = planSetting(questionOf(revision.spec, revision.choice, revision.site));
  if (!plan.ok) return null;
  const { meanCurrentA, voltageV, slagSeconds } = plan.value;
  const { arcSeconds, wireKg, gasL } = revision.use;
  return takesOf({ arcSeconds, wireKg, gasL, meanCurrentA, voltageV, slagSeconds }, site);
}

function welded({ body, drawn }: Run) {
  const of = (unit: string) => {
    const own = drawn.filter((one) => one.unit === unit);
    return own.length === 0 ? undefined : own.reduce((sum, one) => sum + one.amount, 0);
  };
  return { seconds: body.seconds, wireKg: of('kg'), gasL: of('L') };
}
