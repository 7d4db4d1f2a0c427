/** Records that a device could not enter and somebody handed to the lead hands: each waits for a word. */
import { effective } from '@fox-tempo/core/evidence/record';
import { useEndpoint } from '../../data/queries.ts';
import { useMay } from '../../session/session.ts';
import { t } from '../../lib/words.ts';
import { LookGroup, LookRow } from './look-group.tsx';

export function HandedOver() {
  const may = useMay('settleHandedOver');
  const { data } = useEndpoint('observations', { query: { kind: 'handed-over', limit: '100' } }, may);
  const rows = effective(data?.items ?? []).filter(({ kind }) => kind === 'handed-over');
  return (
    <LookGroup
      title={t('view.outbox.handed-over-title')}
      more="/waiting"
      rows={rows.map(({ id, body, recordedBy }) => (
        <LookRow key={id} to="/waiting" mark="◇" color="ochre" name={String(body['about'])} detail={recordedBy} />
      ))}
    />
  );
}
