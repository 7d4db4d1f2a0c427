/** What is due on a gun, where a weld is set up or judged: it is looked at before anything else is turned. */
import { amount } from '@fox-tempo/core/base/messages';
import { wearPartNames, wearUnits } from '@fox-tempo/core/machine/wear';
import { Link } from 'react-router';
import { useEndpoint } from '../../data/queries.ts';
import { t, format } from '../../lib/words.ts';
import { Notice } from '../../ui/notice.tsx';

export function LookFirst({
  machineId,
  feederId,
}: {
  readonly machineId: string;
  /** Left out: any of the machine's guns. */
  readonly feederId?: string | undefined;
}) {
  const { data } = useEndpoint('wear', {});
  const due = (data?.parts ?? []).filter(
    (one) => one.machineId === machineId && one.due === 'due' && (feederId === undefined || one.feederId === feederId),
  );
  if (due.length === 0) return null;
  return (
    <Notice level="caution" word={t('view.wear.due-parts')}>
      {due.map((one) => (
        <span key={`${one.feederId} ${one.part}`}>
          {t('view.wear.looked-at-first', {
            part: format(wearPartNames[one.part]),
            used: amount(wearUnits[one.part], one.used, 0),
            expected: amount(wearUnits[one.part], one.life.expected, 0),
          })}{' '}
        </span>
      ))}
      <Link to={`/machines/${machineId}/paper`}>{t('view.gun-paper.gun-and-rolls')}</Link>
    </Notice>
  );
}
