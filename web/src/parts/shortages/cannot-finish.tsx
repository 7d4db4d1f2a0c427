/** A cylinder or spool on the machine that ends within this very seam: said before the arc, not found in it. */
import { minutesOf } from '@fox-tempo/core/base/units';
import { HazardText } from '../../ui/hazard-text.tsx';
import { hazard } from '@fox-tempo/words';
import type { MachineResource, SeamResource } from '@fox-tempo/contract';
import { shortagesOf } from '@fox-tempo/core/day/plan';
import { Link } from 'react-router';
import { useEndpoint } from '../../data/queries.ts';
import { t } from '../../lib/words.ts';
import { Notice } from '../../ui/notice.tsx';

export function CannotFinish({
  seam,
  machine,
}: {
  readonly seam: SeamResource;
  readonly machine: Pick<MachineResource, 'id'> | undefined;
}) {
  const { data: stock } = useEndpoint('stock', {});
  const { revision } = seam;
  if (!stock || !machine || !revision?.use) return null;
  const job = {
    id: seam.id,
    program: revision.program,
    arcMinutes: minutesOf(revision.use.arcSeconds),
    takes: revision.use,
    quantity: 1,
  };
  const ends = shortagesOf(machine.id, job, stock);
  if (ends.length === 0) return null;
  return (
    <Notice level="caution" word={t('view.shortages.will-not-last')} urgent>
      <HazardText said={hazard('view.shortages.change-it-first', { names: ends.map(({ name }) => name) })} />{' '}
      <Link to={`/machines/${machine.id}/refill`}>{t('view.shortages.walk-the-change')}</Link>
    </Notice>
  );
}
