/** What is on the machines and will not last: cylinders and spools against the seams that take them. */
import { amount } from '@fox-tempo/core/said';
import { t, tellIf } from '../../lib/words.ts';
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
      title={t('view.today.gas-and-wire-on-the')}
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
          <Link to="/library/stock">{t('view.today.all-stock')}</Link>
        </Box>
      }
    >
      {issues.length > 0 && (
        <Notice level="caution" word={t('view.today.not-counted')}>
          {tellIf(issues[0]?.message)}{' '}
          <Action kind="quiet" minHeight="32px" onClick={retry}>
            {t('view.today.count-again')}
          </Action>
        </Notice>
      )}
      {!low ? (
        <Box fontSize="13.5px" color="quiet" role="status">
          {t('view.today.counting')}
        </Box>
      ) : low.length === 0 ? (
        <Box fontSize="13.5px" color="spruce">
          {t('view.today.enough-for-five-parts-and')}
        </Box>
      ) : (
        <Box as="ul" listStyleType="none" fontSize="13.5px">
          {low.map(({ id, name, machine, seam, outlook }) => (
            <Box as="li" key={`${id}${seam}`} py="1">
              <Box as="span" color={outlook.partsLeft === 0 ? 'crimson' : 'ochre'} fontWeight={600}>
                {outlook.partsLeft === 0 ? '✕' : '◇'} {name}
              </Box>{' '}
              {t('view.today.on-of-arc', {
                machine,
                partsLeft: outlook.partsLeft ?? '',
                seam,
                arcMinutes: amount('minutes', outlook.arcMinutes, 0),
              })}
            </Box>
          ))}
        </Box>
      )}
    </Panel>
  );
}
