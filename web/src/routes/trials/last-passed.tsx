/** Against the last passed trial on this machine: only the dials that stand otherwise now, to be put back one by one. */
import { WayOn } from '../../ui/way-on.tsx';
import { Box } from '@chakra-ui/react';
import type { SeamResource } from '@fox-tempo/contract';
import { cardOf } from '@fox-tempo/core/machine/dials';
import { useEndpoint } from '../../data/queries.ts';
import type { StandingMachine } from '../../sheet/standing-machine.ts';
import { shopTime } from '../../lib/time.ts';
import { fixed, t } from '../../lib/words.ts';

export interface LastPassedProps {
  readonly seam: SeamResource;
  readonly machine: StandingMachine;
  /** As they stand now, where somebody turned one away from the card. */
  readonly dials: Readonly<Record<string, number>>;
}

export function LastPassed({ seam, machine, dials }: LastPassedProps) {
  const { data: found } = useEndpoint('trials', {
    query: { seam: seam.id, machine: machine.id, verdict: 'pass', limit: '1' },
  });
  const id = found?.items[0]?.id;
  const { data: passed } = useEndpoint('trial', { params: { id: id ?? '' } }, id !== undefined);
  const program = seam.revision?.program;
  if (!passed || !program) return null;
  const card = cardOf(machine.file, program).dials;
  const otherwise = card.flatMap(({ dialId, label, value }) => {
    const was = passed.body.dials[dialId];
    const now = dials[dialId] ?? value;
    return was === undefined || Math.abs(was - now) < 1e-6 ? [] : [{ dialId, label, was, now }];
  });
  return (
    <Box fontSize="small">
      <WayOn to={`/trials/${passed.id}`}>{t('view.trials.last-passed', { at: shopTime(passed.at) })}</WayOn>
      {otherwise.length === 0 ? (
        <Box color="quiet">{t('view.trials.dials-as-then')}</Box>
      ) : (
        <>
          <Box as="ul" listStyleType="none">
            {otherwise.map(({ dialId, label, was, now }) => (
              <Box as="li" key={dialId}>
                {label}: <Box as="strong">{shown(was)}</Box>{' '}
                <Box as="span" color="quiet">
                  {t('view.trials.now', { now: shown(now) })}
                </Box>
              </Box>
            ))}
          </Box>
          <Box color="quiet">{t('view.trials.put-these-back')}</Box>
          {passed.revision !== seam.revision?.number && (
            <WayOn to={`/seams/${seam.id}`}>
              {t('view.trials.bring-back-revision', { revision: passed.revision })}
            </WayOn>
          )}
        </>
      )}
    </Box>
  );
}

function shown(value: number): string {
  return fixed(value, Number.isInteger(value) ? 0 : 1);
}
