/** What is on the machines and will not last: cylinders and spools against the seams that take them. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, format, formatIf } from '../../lib/words.ts';
import { Link } from 'react-router';
import { Box } from '@chakra-ui/react';
import type { MachineResource, SeamResource, Stock } from '@fox-tempo/contract';
import { useMemo } from 'react';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { LookGroup, LookRow } from './look-group.tsx';
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
  const isEmpty = ![...stock.cylinders, ...stock.spools].some(
    ({ machineId, retired }) => machineId !== null && !retired,
  );
  const nameOf = (id: string) => machines.find((machine) => machine.id === id)?.file.name;
  const missing = answer?.missing ?? [];
  const low = answer?.low.flatMap((one) => {
    const machine = nameOf(one.machineId);
    return machine === undefined ? [] : [{ ...one, machine }];
  });
  if (issues.length > 0)
    return (
      <Notice level="caution" word={t('view.today.not-counted')}>
        {formatIf(issues[0]?.message)}{' '}
        <Action kind="quiet" minHeight="32px" onClick={retry}>
          {t('view.today.count-again')}
        </Action>
      </Notice>
    );
  // Nothing is promised of stock that nobody has entered.
  if (isEmpty)
    return (
      <Box fontSize="small" color="quiet" py="1">
        {t('view.today.nothing-connected')}{' '}
        <Box asChild color="accent" fontWeight={600}>
          <Link to="/library/stock">{t('view.today.stock-enter')}</Link>
        </Box>
      </Box>
    );
  if (low && missing.length > 0 && low.length === 0)
    return (
      <LookGroup
        title={t('view.today.not-in-stock')}
        more="/library/stock"
        rows={missing.map(({ what, seams: wanted }) => (
          <LookRow
            key={JSON.stringify(what)}
            to="/library/stock"
            mark="✕"
            color="ochre"
            name={format(what)}
            detail={t('view.today.setting-missing', { count: wanted })}
          />
        ))}
      />
    );
  if (!low || low.length === 0)
    return (
      <Box fontSize="small" color={low ? 'spruce' : 'quiet'} role="status" py="1">
        {low ? t('view.today.stock-enough') : t('view.today.counting')}
      </Box>
    );
  return (
    <LookGroup
      title={t('view.today.stock')}
      more="/library/stock"
      rows={[...low]
        .sort((a, b) => (a.outlook.partsLeft ?? 0) - (b.outlook.partsLeft ?? 0))
        .map(({ id, name, machineId, machine, seam, outlook }) => (
          <LookRow
            key={`${id}${seam}`}
            to={`/machines/${machineId}/refill`}
            mark={outlook.partsLeft === 0 ? '✕' : '◇'}
            color={outlook.partsLeft === 0 ? 'crimson' : 'ochre'}
            name={name}
            detail={t('view.today.on-of-arc', {
              machine,
              partsLeft: outlook.partsLeft ?? '',
              seam,
              arcMinutes: amount('minutes', outlook.arcMinutes, 0),
            })}
          />
        ))}
    />
  );
}
