/** What wears and is due, or soon, on every gun. */
import { wearPartNames } from '@fox-tempo/core/machine/wear';
import { useEndpoint } from '../../data/queries.ts';
import { t, format } from '../../lib/words.ts';
import { LookGroup, LookRow } from './look-group.tsx';

export function DueParts() {
  const { data } = useEndpoint('wear', {});
  const due = (data?.parts ?? []).filter((one) => one.due !== 'fine');
  return (
    <LookGroup
      title={t('view.wear.due-parts')}
      more="/machines"
      rows={due
        .sort((a, b) => Number(b.due === 'due') - Number(a.due === 'due'))
        .map((one) => (
          <LookRow
            key={`${one.machineId} ${one.feederId} ${one.part}`}
            to={`/machines/${one.machineId}/paper`}
            mark={one.due === 'due' ? '✕' : '◇'}
            color={one.due === 'due' ? 'crimson' : 'ochre'}
            name={format(wearPartNames[one.part])}
            detail={`${one.machineName}, ${one.feederLabel}: ${one.due === 'due' ? t('view.wear.due') : t('view.wear.soon')}`}
          />
        ))}
    />
  );
}
