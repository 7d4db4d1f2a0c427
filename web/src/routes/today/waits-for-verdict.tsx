/** Trials whose verdict is open: something that counts was not looked at yet. */
import { useEndpoint } from '../../data/queries.ts';
import { shopTime } from '../../lib/time.ts';
import { t } from '../../lib/words.ts';
import { LookGroup, LookRow } from './look-group.tsx';

export function WaitsForVerdict() {
  const { data } = useEndpoint('trials', { query: { verdict: 'open', limit: '5' } });
  return (
    <LookGroup
      title={t('view.trials.waits')}
      more="/trials?verdict=open"
      rows={(data?.items ?? []).map(({ id, seamName, weldedBy, at }) => (
        <LookRow key={id} to={`/trials/${id}`} name={seamName} detail={`${weldedBy}, ${shopTime(at)}`} />
      ))}
    />
  );
}
