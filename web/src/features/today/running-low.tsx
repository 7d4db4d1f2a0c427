/** What is on the machines and will not last: cylinders and spools against the seams that take them. */
import { Box } from '@chakra-ui/react';
import type { MachineResource, SeamResource, Stock } from '@fox-tempo/contract';
import { cylinderOutlook, sameWire, spoolOutlook, type Outlook } from '@fox-tempo/core';
import { Link } from 'react-router';
import { measureSeam } from '../../lib/part-use.ts';
import { Panel } from '../../ui/panel.tsx';

interface Low {
  readonly id: string;
  readonly name: string;
  readonly machine: string;
  readonly seam: string;
  readonly outlook: Outlook;
}

export function RunningLow({
  stock,
  machines,
  seams,
}: {
  readonly stock: Stock;
  readonly machines: readonly MachineResource[];
  readonly seams: readonly SeamResource[];
}) {
  const low = lowOnes(stock, machines, seams);
  return (
    <Panel
      title="Gas and wire on the machines"
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
          <Link to="/library/stock">All stock</Link>
        </Box>
      }
    >
      {low.length === 0 ? (
        <Box fontSize="13.5px" color="spruce">
          ● Enough for five parts and more of every seam.
        </Box>
      ) : (
        <Box as="ul" listStyleType="none" fontSize="13.5px">
          {low.map(({ id, name, machine, seam, outlook }) => (
            <Box as="li" key={`${id}${seam}`} py="1">
              <Box as="span" color={outlook.partsLeft === 0 ? 'crimson' : 'ochre'} fontWeight={600}>
                {outlook.partsLeft === 0 ? '✕' : '◇'} {name}
              </Box>{' '}
              on {machine}: {outlook.partsLeft} × {seam}, {outlook.arcMinutes.toFixed(0)} min of arc
            </Box>
          ))}
        </Box>
      )}
    </Panel>
  );
}

function lowOnes(stock: Stock, machines: readonly MachineResource[], seams: readonly SeamResource[]): Low[] {
  const nameOf = (id: string | null) => machines.find((machine) => machine.id === id)?.file.name;
  return seams.flatMap(measureSeam).flatMap(({ seam, use }) => {
    const program = seam.revision?.program;
    if (!program) return [];
    const rows = [
      ...stock.cylinders
        .filter((one) => one.gas === program.gas)
        .map((one) => ({ ...one, outlook: cylinderOutlook(one, use) })),
      ...stock.spools
        .filter((one) => sameWire(one, program))
        .map((one) => ({ ...one, outlook: spoolOutlook(one, use) })),
    ];
    return rows.flatMap(({ id, name, machineId, outlook }): Low[] => {
      const machine = nameOf(machineId);
      return machine === undefined || outlook.words === 'plenty'
        ? []
        : [{ id, name, machine, seam: seam.spec.name, outlook }];
    });
  });
}
