/** The order of work on one seam, as links between its views; only the views that exist. */
import { Box } from '@chakra-ui/react';
import { NavLink } from 'react-router';
import { partLink } from '../../ui/part-link.ts';

const steps = [
  { name: 'Seam', to: (id: string) => `/seams/${id}` },
  { name: 'Wire and gas', to: (id: string) => `/seams/${id}/wire` },
  { name: 'Set-up', to: (id: string) => `/seams/${id}/setup` },
  { name: 'Arc', to: (id: string) => `/bench/${id}` },
  { name: 'Score', to: (id: string) => `/score/${id}` },
  { name: 'Store', to: (id: string) => `/seams/${id}/store` },
] as const;

export function SeamSteps({ seamId }: { readonly seamId: string }) {
  return (
    <Box as="nav" aria-label="Steps of this seam" display="flex" gap="1" overflowX="auto" whiteSpace="nowrap">
      {steps.map(({ to, name }) => (
        <Box asChild key={name} {...partLink}>
          <NavLink to={to(seamId)} end={name !== 'Score'}>
            {name}
          </NavLink>
        </Box>
      ))}
    </Box>
  );
}
