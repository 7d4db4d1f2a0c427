/** One line of costs: what a piece takes of time, wire, gas and money. */
import { Box } from '@chakra-ui/react';
import type { SeamResource, ShopState } from '@fox-tempo/contract';
import { amount } from '@fox-tempo/core/base/messages';
import {
  candidatesFor,
  type CostSite,
  type Found,
  type Money,
  moneyOf,
  type MoneyPart,
  moneyParts,
  type Takes,
} from '@fox-tempo/core/day/costs';
import { questionOf } from '@fox-tempo/core/site';
import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { fixed, format, t } from '../../lib/words.ts';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';

const partNames: Readonly<Record<MoneyPart, string>> = {
  labour: t('view.costs.work'),
  wire: t('view.costs.wire'),
  gas: t('view.costs.gas'),
  energy: t('view.costs.energy'),
  tips: t('view.costs.tips'),
};

export interface Line {
  readonly seam: SeamResource;
  readonly site: CostSite;
  readonly piece: Takes;
  readonly found: Found;
}

export function heads(shop: ShopState, byMetre = true, first = t('view.costs.seam')): string[] {
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

export function TakesRow({
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
export function OtherWays({ lines, shop }: { readonly lines: readonly Line[]; readonly shop: ShopState }) {
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
