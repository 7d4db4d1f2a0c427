/** Every pass of a seam that takes several: kind, setting, metal as it adds up, and where the gun points. */
import { Box } from '@chakra-ui/react';
import type { Plan } from '@fox-tempo/core/plan';
import { formatQuantity, type QuantityName } from '@fox-tempo/core/units';
import { useSettings } from '../../lib/settings.ts';
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
    head('Feed', 'wireFeed'),
    head('Current', 'current'),
    head('Travel', 'travel'),
    head('Metal', 'area'),
    head('So far', 'area'),
    ...(isGroove ? [] : [head('Leg', 'shortLength')]),
  ];
  return (
    <Panel title="Passes" aside={<Box textStyle="label" color="quiet">{`${plan.passes} in all`}</Box>}>
      <Table label="Passes">
        <Heads names={['Pass', ...columns]} right={columns} />
        <tbody>
          {plan.passTable.map((pass) => (
            <tr key={pass.pass}>
              <Cell head minWidth="150px">
                {pass.pass}
                {pass.kind === 'single' ? '' : ` ${pass.kind}`}
                <Box textStyle="label" color="quiet" fontWeight={400}>
                  {pass.gun}
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
        {isGroove
          ? 'The root is run colder so that it holds over its gap; store it as a program of its own where the machine has room. Clean between passes.'
          : 'The setting is for each pass alike; clean between passes.'}
      </Box>
    </Panel>
  );
}
