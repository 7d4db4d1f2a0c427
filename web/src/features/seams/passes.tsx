/** Every pass of a seam that takes several: kind, setting, metal as it adds up, and where the gun points. */
import { Box } from '@chakra-ui/react';
import { formatWithUnit, type Plan } from '@fox-tempo/core';
import { useSettings } from '../../lib/settings.ts';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';

export function Passes({ plan }: { readonly plan: Plan }) {
  const units = useSettings((state) => state.units);
  if (plan.passes < 2) return null;
  const isGroove = plan.passTable.some((pass) => pass.place !== null);
  return (
    <Panel title="Passes" aside={<Box textStyle="label" color="quiet">{`${plan.passes} in all`}</Box>}>
      <Table label="Passes">
        <Heads
          names={['Pass', 'Feed', 'Current', 'Travel', 'Metal', 'Laid so far', ...(isGroove ? [] : ['Leg'])]}
          right={['Feed', 'Current', 'Travel', 'Metal', 'Laid so far', 'Leg']}
        />
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
              <Cell figure>{formatWithUnit(pass.wireFeedMPerMin, 'wireFeed', units)}</Cell>
              <Cell figure>{formatWithUnit(pass.meanCurrentA, 'current', units)}</Cell>
              <Cell figure>{formatWithUnit(pass.travelMmPerMin, 'travel', units)}</Cell>
              <Cell figure>{formatWithUnit(pass.areaMm2, 'area', units)}</Cell>
              <Cell figure>{formatWithUnit(pass.totalAfterMm2, 'area', units)}</Cell>
              {!isGroove && (
                <Cell figure>
                  {pass.legAfterMm === null ? '' : formatWithUnit(pass.legAfterMm, 'shortLength', units)}
                </Cell>
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
