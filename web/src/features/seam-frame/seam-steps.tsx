/** The order of work on one seam, as links between its views; only the views that exist. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import { NavLink, useLocation } from 'react-router';
import { partLink } from '../../ui/part-link.ts';

const steps: readonly { readonly name: string; readonly to: (id: string) => string; readonly hasParts?: true }[] = [
  { name: t('view.machines.seam'), to: (id: string) => `/seams/${id}` },
  { name: t('view.seam-frame.wire-and-gas'), to: (id: string) => `/seams/${id}/wire` },
  { name: t('view.seam-frame.set-up'), to: (id: string) => `/seams/${id}/setup` },
  { name: t('view.bench.arc'), to: (id: string) => `/bench/${id}` },
  { name: t('view.app.score'), to: (id: string) => `/score/${id}`, hasParts: true },
  { name: t('view.heat.step'), to: (id: string) => `/seams/${id}/heat` },
  { name: t('view.seam-frame.trial'), to: (id: string) => `/seams/${id}/trial` },
  { name: t('view.window.step'), to: (id: string) => `/seams/${id}/window` },
  { name: t('view.seam-frame.store'), to: (id: string) => `/seams/${id}/store` },
  { name: t('view.procedure.step'), to: (id: string) => `/seams/${id}/procedure` },
];

export function SeamSteps({ seamId }: { readonly seamId: string }) {
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
      aria-label={t('view.seam-frame.steps-of-this-seam')}
      display="flex"
      gap="1"
      overflowX="auto"
      whiteSpace="nowrap"
    >
      {steps.map(({ to, name, hasParts }) => (
        <Box asChild key={name} {...partLink}>
          <NavLink to={to(seamId)} end={!hasParts}>
            {name}
          </NavLink>
        </Box>
      ))}
    </Box>
  );
}
