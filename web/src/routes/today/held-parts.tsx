/** Parts that are held until somebody decides. */
import { useEndpoint } from '../../data/queries.ts';
import { t, format } from '../../lib/words.ts';
import { LookGroup, LookRow } from './look-group.tsx';

export function HeldParts() {
  const { data } = useEndpoint('runs', { query: { state: 'held', limit: '5' } });
  return (
    <LookGroup
      title={t('view.runs.held-parts')}
      more="/runs?state=held"
      rows={(data?.items ?? []).map((run) => (
        <LookRow
          key={run.id}
          to="/runs?state=held"
          mark="◇"
          name={run.seamName}
          detail={format(run.held[0]?.words ?? '')}
        />
      ))}
    />
  );
}
