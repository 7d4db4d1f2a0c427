/** Every pass of a seam that takes several: kind, setting, metal as it adds up, and where the gun points. */
import { t, format, formatQuantity } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { Plan } from '@fox-tempo/core/setting/plan';
import { type QuantityName } from '@fox-tempo/core/base/units';
import { useSettings } from '../../session/settings.ts';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';

export function Passes({ plan }: { readonly plan: Plan }) {
  const units = useSettings((state) => state.units);
  if (plan.passes < 2) return null;
  const isGroove = plan.passTable.some((pass) => pass.place !== null);
  // The unit stands in the head once, so that the figures have room.
  const head = (words: string, of: QuantityName) => `${words}, ${formatQuantity(1, of, units).unit}`;
  const figure = (value: number, of: QuantityName) => formatQuantity(value, of, units).text;
  const columns = [
    head(t('view.simulator.column.feed'), 'wireFeed'),
    head(t('view.machines.current'), 'current'),
    head(t('view.dial-card.travel'), 'travel'),
    head(t('view.library.metal'), 'area'),
    head(t('view.seams.so-far'), 'area'),
    ...(isGroove ? [] : [head(t('view.seams.leg'), 'shortLength')]),
  ];
  return (
    <Panel
      title={t('view.seams.passes')}
      aside={
        <Box textStyle="label" color="quiet">
          {t('view.seams.passes-total', { passes: plan.passes })}
        </Box>
      }
    >
      <Table label={t('view.seams.passes')}>
        <Heads names={[t('view.seams.pass'), ...columns]} right={columns} />
        <tbody>
          {plan.passTable.map((pass) => (
            <tr key={pass.pass}>
              <Cell head minWidth="150px">
                {pass.pass}
                {pass.kind === 'single' ? '' : ` ${t(`plan.pass-${pass.kind}`)}`}
                <Box textStyle="label" color="quiet" fontWeight={400}>
                  {format(pass.gun)}
                </Box>
              </Cell>
              <Cell figure>{figure(pass.wireFeedMPerMin, 'wireFeed')}</Cell>
              <Cell figure>{figure(pass.meanCurrentA, 'current')}</Cell>
              <Cell figure>{figure(pass.travelMmPerMin, 'travel')}</Cell>
              <Cell figure>{figure(pass.areaMm2, 'area')}</Cell>
              <Cell figure>{figure(pass.totalAfterMm2, 'area')}</Cell>
              {!isGroove && (
                <Cell figure>{pass.legAfterMm === null ? '' : figure(pass.legAfterMm, 'shortLength')}</Cell>
              )}
            </tr>
          ))}
        </tbody>
      </Table>
      <Box textStyle="label" color="quiet" mt="2">
        {isGroove ? t('view.seams.root-colder') : t('view.seams.passes-alike')}
      </Box>
    </Panel>
  );
}
