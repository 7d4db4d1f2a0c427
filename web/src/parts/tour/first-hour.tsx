/** The first hour on Today: five steps with a seam of the person's own, ticked as they are visited, gone when all are or when put away. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { SeamResource } from '@fox-tempo/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import { useMe } from '../../session/session.ts';
import { Action } from '../../ui/action.tsx';
import { Panel } from '../../ui/panel.tsx';
import { putAway, tourOf, tourSteps } from './tour-steps.ts';

export function FirstHour({ seams }: { readonly seams: readonly SeamResource[] }) {
  const me = useMe();
  const [isAway, setAway] = useState(false);
  const done = me ? tourOf(me.id) : null;
  if (!me || done === null || isAway || done.length === tourSteps.length) return null;
  // One's own newest seam, else the first that has a setting.
  const own =
    seams.filter((seam) => seam.changedBy === me.name).at(-1) ?? seams.find((seam) => seam.revision) ?? seams[0];
  const next = tourSteps.find(({ id }) => !done.includes(id));
  return (
    <Panel
      gridColumn="1 / -1"
      py="2"
      title={t('view.tour.the-first-hour')}
      aside={
        <Box display="flex" gap="3" alignItems="center" minWidth={0}>
          {own && (
            <Box color="quiet" fontSize="label" display={{ base: 'none', md: 'block' }}>
              {t('view.tour.start-with', { spec: own.spec.name, partName: own.partName })}
            </Box>
          )}
          <Action
            kind="quiet"
            fontSize="small"
            my="-2"
            onClick={() => {
              putAway(me.id);
              setAway(true);
            }}
          >
            {t('view.tour.put-it-away')}
          </Action>
        </Box>
      }
    >
      {!own ? (
        <Box fontSize="text">
          {t('view.tour.start')} <Link to="/seams?new=1">{t('view.tour.describe')}</Link>
        </Box>
      ) : (
        <Box
          as="ol"
          listStyleType="none"
          display="grid"
          gap="2"
          gridTemplateColumns={{
            base: '1fr',
            md: tourSteps.map(({ id }) => (id === next?.id ? '2fr' : '1fr')).join(' '),
          }}
        >
          {tourSteps.map(({ id, name, why, to }) => {
            const isDone = done.includes(id);
            return (
              <Box
                as="li"
                key={id}
                borderTopWidth="3px"
                borderColor={id === next?.id ? 'accent' : 'line'}
                pt="1.5"
                fontSize="small"
              >
                <Box
                  asChild
                  fontWeight={650}
                  fontSize="text"
                  minHeight="24px"
                  display="inline-flex"
                  alignItems="center"
                >
                  <Link to={to(own.id)}>
                    {isDone ? '● ' : '○ '}
                    {name}
                    {isDone && (
                      <Box as="span" srOnly>
                        {', '}
                        {t('view.tour.done')}
                      </Box>
                    )}
                  </Link>
                </Box>
                {id === next?.id && (
                  <Box color="quiet" fontSize="label" lineHeight="1.25">
                    {why}
                  </Box>
                )}
              </Box>
            );
          })}
        </Box>
      )}
    </Panel>
  );
}
