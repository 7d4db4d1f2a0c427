/** The order of work on one seam, as links between its views; only the views that exist. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { SeamResource } from '@fox-tempo/contract';
import { useEffect, useRef } from 'react';
import { NavLink, useLocation } from 'react-router';
import { useEndpoint } from '../../data/queries.ts';
import { partLink } from '../../ui/part-link.ts';

const steps: readonly { readonly name: string; readonly to: (id: string) => string; readonly hasParts?: true }[] = [
  { name: t('view.machines.seam'), to: (id: string) => `/seams/${id}` },
  { name: t('view.seam-frame.wire-and-gas'), to: (id: string) => `/seams/${id}/wire` },
  { name: t('view.seam-frame.set-up'), to: (id: string) => `/seams/${id}/setup` },
  { name: t('view.simulator.arc'), to: (id: string) => `/simulator/${id}` },
  { name: t('view.app.sequence'), to: (id: string) => `/sequence/${id}`, hasParts: true },
  { name: t('view.heat.step'), to: (id: string) => `/seams/${id}/heat` },
  { name: t('view.seam-frame.trial'), to: (id: string) => `/seams/${id}/trial` },
  { name: t('view.window.step'), to: (id: string) => `/seams/${id}/window` },
  { name: t('view.seam-frame.store'), to: (id: string) => `/seams/${id}/store` },
  { name: t('view.procedure.step'), to: (id: string) => `/seams/${id}/procedure` },
];

type StepState = 'done' | 'next' | 'optional' | 'open';

/** By the order of the steps: what is done, what comes next, and what a seam may do without. */
function statesOf(
  { revision, issued, windows }: Pick<SeamResource, 'revision' | 'issued' | 'windows'>,
  hasPassed: boolean,
): StepState[] {
  const isSaved = revision !== null;
  const isDone = [
    isSaved,
    isSaved,
    hasPassed,
    false,
    false,
    false,
    hasPassed,
    windows.length > 0,
    issued.length > 0,
    false,
  ];
  const isNeeded = [true, true, true, false, false, false, true, false, false, false];
  const next = isDone.findIndex((one, at) => !one && isNeeded[at]);
  return isDone.map((one, at) => (one ? 'done' : at === next ? 'next' : isNeeded[at] ? 'open' : 'optional'));
}

const marks: Record<StepState, string> = { done: '●', next: '→', optional: '', open: '○' };
const markWords: Record<StepState, string> = {
  done: t('view.tour.done'),
  next: t('view.seam-frame.comes-next'),
  optional: t('view.seam-frame.optional'),
  open: '',
};

export function SeamSteps({ seam }: { readonly seam: SeamResource }) {
  const seamId = seam.id;
  const { data: passed } = useEndpoint('trials', { query: { seam: seamId, verdict: 'pass', limit: '1' } });
  const states = statesOf(seam, (passed?.items.length ?? 0) > 0);
  const { pathname } = useLocation();
  const row = useRef<HTMLElement>(null);
  // On a narrow screen the row is longer than the page: the step one stands on is in sight.
  useEffect(() => {
    row.current?.querySelector('[aria-current=page]')?.scrollIntoView?.({ inline: 'nearest', block: 'nearest' });
  }, [pathname]);
  return (
    <Box
      as="nav"
      ref={row}
      aria-label={t('view.seam-frame.steps')}
      display="flex"
      gap="1"
      overflowX="auto"
      whiteSpace="nowrap"
    >
      {steps.map(({ to, name, hasParts }, at) => (
        // What is done stands beside the name, not in it: a link is called by what it leads to.
        <Box asChild key={name} {...partLink}>
          <NavLink to={to(seamId)} end={!hasParts} aria-description={markWords[states[at] ?? 'open'] || undefined}>
            <Box as="span" aria-hidden="true" fontSize="0.8em" me={states[at] === 'optional' ? undefined : '1.5'}>
              {marks[states[at] ?? 'open']}
            </Box>
            {name}
          </NavLink>
        </Box>
      ))}
    </Box>
  );
}
