/** Memory slots whose dials were found otherwise than stored, for the day's first look. */
import { useEndpoint } from '../../data/queries.ts';
import { lastWords } from '../../data/last-hand.ts';
import { t } from '../../lib/words.ts';
import { LookGroup, LookRow } from './look-group.tsx';

export function Drifted() {
  const { data } = useEndpoint('shift', {});
  return (
    <LookGroup
      title={t('view.shift.drifted-settings')}
      more="/shift"
      rows={(data?.slots ?? [])
        .filter((slot) => slot.drifted.length > 0)
        .map((slot) => (
          <LookRow
            key={`${slot.machineId} ${slot.slot}`}
            to={`/shift?machine=${slot.machineId}&slot=${slot.slot}`}
            mark="◇"
            name={t('view.shift.slot', { slot: slot.slot, machine: slot.machineName })}
            detail={`${slot.seamName}. ${lastWords(slot.lastBefore)}`}
          />
        ))}
    />
  );
}
