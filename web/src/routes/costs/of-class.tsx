/** What each seam's quality class allows and what that saves, on the seam and on the whole order. */
import { Box } from '@chakra-ui/react';
import type { Order, SeamResource, ShopState } from '@fox-tempo/contract';
import { fullPrice, nothingTaken, plus, savingOfClass, times, type CostSite } from '@fox-tempo/core/day/costs';
import { amount } from '@fox-tempo/core/base/messages';
import { questionOf } from '@fox-tempo/core/site';
import { usualLevel } from '@fox-tempo/core/evidence/trial';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { fixed, t, format } from '../../lib/words.ts';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';

export function OfClass({
  lines,
  order,
  shop,
}: {
  readonly lines: readonly { readonly seam: SeamResource; readonly site: CostSite }[];
  readonly order: Order;
  readonly shop: ShopState;
}) {
  const rows = useMemo(
    () =>
      lines.flatMap(({ seam, site }) => {
        const { revision, limits } = seam;
        if (!revision) return [];
        const { spec, choice } = revision;
        const level = limits?.level ?? usualLevel;
        const found = savingOfClass(questionOf(spec, choice, revision.site), level, site, shop.rates);
        if (!found) return [];
        const { filler, gas } = revision.program;
        const now = fullPrice(plus(found.takes, found.saves), { filler, gas }, shop.rates);
        const then = fullPrice(found.takes, { filler, gas: found.way.gas }, shop.rates);
        return [{ seam, level, found, money: now === null || then === null ? null : now - then }];
      }),
    [lines, shop.rates],
  );
  if (rows.length === 0) return null;
  const sum = rows.reduce((whole, { found }) => plus(whole, times(found.saves, order.quantity)), nothingTaken);
  // Where one seam has no price, the order has none either: it would pass for the whole.
  const money = rows.reduce<number | null>(
    (whole, one) => (whole === null || one.money === null ? null : whole + one.money * order.quantity),
    0,
  );
  const priced = (value: number | null) => (value === null ? '–' : `${fixed(value, 2)} ${currency ?? ''}`);
  const currency = shop.rates?.currency;
  const heads = [
    t('view.costs.seam'),
    t('view.trials.quality-level'),
    t('view.costs.class-allows'),
    t('view.costs.work-saved'),
    t('view.costs.gas-saved'),
    ...(currency === undefined ? [] : [t('view.costs.money-saved')]),
  ];
  return (
    <Panel title={t('view.costs.class-saves')}>
      <Table label={t('view.costs.class-saves')}>
        <Heads names={heads} right={heads.slice(3)} />
        <tbody>
          {rows.map(({ seam, level, found, money: saved }) => (
            <tr key={seam.id}>
              <Cell head>
                <Link to={`/seams/${seam.id}/trial`}>{seam.spec.name}</Link>
              </Cell>
              <Cell>
                {level}
                {seam.limits === null ? ` (${t('view.costs.not-written')})` : ''}
              </Cell>
              <Cell>{found.isNow ? t('view.costs.as-is') : format(found.name)}</Cell>
              <Cell figure>{format(amount('minutes', found.saves.workMinutes, 1))}</Cell>
              <Cell figure>{format(amount('volume', found.saves.gasL, 1))}</Cell>
              {currency !== undefined && <Cell figure>{priced(saved)}</Cell>}
            </tr>
          ))}
          <tr>
            <Cell head>{t('view.costs.the-order', { count: order.quantity })}</Cell>
            <Cell />
            <Cell />
            <Cell figure>{format(amount('minutes', sum.workMinutes, 0))}</Cell>
            <Cell figure>{format(amount('volume', sum.gasL, 0))}</Cell>
            {currency !== undefined && <Cell figure>{priced(money)}</Cell>}
          </tr>
        </tbody>
      </Table>
      <Box fontSize="small" color="quiet" mt="1">
        {t('view.costs.class-rule')}
      </Box>
    </Panel>
  );
}
