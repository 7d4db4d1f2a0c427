/** What is on the machines and will not last: cylinders and spools against the seams that take them. */
import { Box } from '@chakra-ui/react';
import type { MachineResource, SeamResource, Stock } from '@fox-tempo/contract';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { useSum } from '../../workers/use-sum.ts';

export function RunningLow({
  stock,
  machines,
  seams,
}: {
  readonly stock: Stock;
  readonly machines: readonly MachineResource[];
  readonly seams: readonly SeamResource[];
}) {
  const ask = useMemo(() => ({ stock, seams }), [stock, seams]);
  const { answer, issues, retry } = useSum('lowStock', ask);
  const nameOf = (id: string) => machines.find((machine) => machine.id === id)?.file.name;
  const low = answer?.flatMap((one) => {
    const machine = nameOf(one.machineId);
    return machine === undefined ? [] : [{ ...one, machine }];
  });
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
      {issues.length > 0 && (
        <Notice level="caution" word="Not counted.">
          {issues[0]?.message}{' '}
          <Action kind="quiet" minHeight="32px" onClick={retry}>
            Count again
          </Action>
        </Notice>
      )}
      {!low ? (
        <Box fontSize="13.5px" color="quiet" role="status">
          Counting…
        </Box>
      ) : low.length === 0 ? (
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
