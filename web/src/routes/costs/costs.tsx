/** What an order takes by the plan and what it really took, seam by seam; another way of each beside it. */
import { questionOf } from '@fox-tempo/core/site';
import { Box } from '@chakra-ui/react';
import { type MachineResource, type Order, type Run, type SeamResource, type ShopState } from '@fox-tempo/contract';
import {
  candidatesFor,
  foundOf,
  moneyOf,
  moneyParts,
  moneySum,
  nothingTaken,
  plus,
  takesOf,
  times,
  type Found,
  type Money,
  type MoneyPart,
  type Takes,
  type CostSite,
} from '@fox-tempo/core/day/costs';
import { handlingMinutes } from '@fox-tempo/core/day/plan';
import { usualLife } from '@fox-tempo/core/machine/wear';
import { planSetting } from '@fox-tempo/core/setting/plan';
import { amount } from '@fox-tempo/core/base/messages';
import { useMemo } from 'react';
import { Link, useLoaderData, useSearchParams } from 'react-router';
import { api } from '../../data/api.ts';
import { useEndpoint, useEndpointList } from '../../data/queries.ts';
import { fixed, t, format } from '../../lib/words.ts';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Page } from '../../ui/page.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { OfClass } from './of-class.tsx';
import { RatesForm } from './rates-form.tsx';

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

const partNames: Readonly<Record<MoneyPart, string>> = {
  labour: t('view.costs.work'),
  wire: t('view.costs.wire'),
  gas: t('view.costs.gas'),
  energy: t('view.costs.energy'),
  tips: t('view.costs.tips'),
};

interface Line {
  readonly seam: SeamResource;
  readonly site: CostSite;
  readonly piece: Takes;
  readonly found: Found;
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

function heads(shop: ShopState, byMetre = true, first = t('view.costs.seam')): string[] {
  return [
    first,
    t('view.costs.work'),
    t('view.costs.arc'),
    t('view.costs.wire'),
    t('view.costs.gas'),
    t('view.costs.energy'),
    t('view.costs.tips'),
    ...(shop.rates ? [t('view.costs.cost')] : []),
    ...(shop.rates && byMetre ? [t('view.costs.a-metre')] : []),
  ];
}

/** Nine columns fit a tablet only so. */
const figureSize = { base: '13px', xl: '16px' } as const;

function TakesRow({
  name,
  to,
  takes,
  against,
  metres,
  money,
  shop,
  isSum = false,
}: {
  readonly name: string;
  readonly to?: string;
  readonly takes: Takes;
  /** What as many would have taken by the plan; a difference is then said beside each figure. */
  readonly against?: Takes;
  readonly metres?: number;
  readonly money: Money | null;
  readonly shop: ShopState;
  readonly isSum?: boolean;
}) {
  const figures = [
    [amount('minutes', takes.workMinutes, 1), takes.workMinutes, against?.workMinutes],
    [amount('minutes', takes.arcMinutes, 1), takes.arcMinutes, against?.arcMinutes],
    [amount('spoolMass', takes.wireKg, 3), takes.wireKg, against?.wireKg],
    [amount('volume', takes.gasL, 0), takes.gasL, against?.gasL],
    [amount('energy', takes.kwh, 2), takes.kwh, against?.kwh],
    [amount('plain', takes.tips, 3), takes.tips, against?.tips],
  ] as const;
  const currency = shop.rates?.currency ?? '';
  // A sum that leaves something out says so.
  const missing = money ? moneyParts.filter((part) => money.parts[part] === undefined) : [];
  return (
    <tr>
      <Cell head fontWeight={isSum ? 700 : 500}>
        {to === undefined ? name : <Link to={to}>{name}</Link>}
      </Cell>
      {figures.map(([said, value, planned], at) => (
        <Cell key={at} figure fontWeight={isSum ? 700 : 400} fontSize={figureSize}>
          {format(said)}
          {planned !== undefined && planned > 0 && Math.abs(value / planned - 1) >= 0.005 && (
            <Box as="span" display="block" fontSize="label" color={value > planned ? 'ochre' : 'spruce'}>
              {value > planned ? '+' : '−'}
              {fixed(Math.abs(100 * (value / planned - 1)), 0)} %
            </Box>
          )}
        </Cell>
      ))}
      {shop.rates && (
        <>
          <Cell figure fontWeight={700} fontSize={figureSize}>
            {money ? `${fixed(money.total, 2)} ${currency}` : '–'}
            {missing.length > 0 && (
              <Box as="span" display="block" fontSize="label" color="ochre" fontWeight={400}>
                {t('view.costs.without', { parts: missing.map((part) => partNames[part]).join(', ') })}
              </Box>
            )}
          </Cell>
          {against === undefined && (
            <Cell figure fontSize={figureSize}>
              {money && metres ? `${fixed(money.total / metres, 2)} ${currency}` : ''}
            </Cell>
          )}
        </>
      )}
    </tr>
  );
}

/** Each mode its wire can run and each size of it, for one seam. */
function OtherWays({ lines, shop }: { readonly lines: readonly Line[]; readonly shop: ShopState }) {
  const [params, setParams] = useSearchParams();
  const { seam, site } = lines.find((line) => line.seam.id === params.get('seam')) ?? lines[0] ?? {};
  const revision = seam?.revision;
  const found = useMemo(
    () => (revision && site ? candidatesFor(questionOf(revision.spec, revision.choice, revision.site), site) : null),
    [revision, site],
  );
  if (!found || !seam || !revision) return null;
  const { spec, choice } = revision;
  return (
    <Panel title={t('view.costs.another-way')}>
      <Box maxWidth="420px" mb="2">
        <ChoiceField
          label={t('view.costs.seam')}
          value={seam.id}
          choices={lines.map((line) => ({ value: line.seam.id, label: line.seam.spec.name }))}
          onChange={(id) =>
            setParams(
              (before) => {
                before.set('seam', id);
                return before;
              },
              { replace: true },
            )
          }
        />
      </Box>
      <Table label={t('view.costs.another-way')}>
        <Heads names={heads(shop, true, t('view.costs.way'))} right={heads(shop).slice(1)} />
        <tbody>
          {found.ways.map((way) => (
            <TakesRow
              key={`${way.mode} ${way.diameterMm}`}
              name={`${format(way.name)}${way.isNow ? ` (${t('view.costs.as-is')})` : ''}`}
              takes={way.takes}
              metres={spec.lengthMm / 1000}
              money={shop.rates ? moneyOf(way.takes, { filler: choice.filler, gas: choice.gas }, shop.rates) : null}
              shop={shop}
              isSum={way.isNow}
            />
          ))}
        </tbody>
      </Table>
      {found.ruledOut.length > 0 && (
        <Box as="ul" listStyleType="disc" ps="5" fontSize="small" color="quiet" mt="2">
          {found.ruledOut.map(({ name, why }) => (
            <li key={format(name)}>
              {format(name)}: {format(why)}
            </li>
          ))}
        </Box>
      )}
    </Panel>
  );
}
