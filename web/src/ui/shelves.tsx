/** A row of links between the parts of one view; each part has an address of its own. */
import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { NavLink } from 'react-router';
import { partLink } from './part-link.ts';

export interface Shelf {
  readonly to: string;
  readonly name: string;
  /** Stands behind the name, for instance a count of what waits. */
  readonly mark?: ReactNode;
}

export function Shelves({ label, shelves }: { readonly label: string; readonly shelves: readonly Shelf[] }) {
  return (
    <Box as="nav" aria-label={label} display="flex" gap="1" flexWrap="wrap" px="3" pt="2">
      {shelves.map(({ to, name, mark }) => (
        <Box asChild key={to} {...partLink} px="3" fontSize="text" gap="1.5">
          <NavLink to={to} end>
            {name}
            {mark !== undefined && (
              <Box as="span" fontSize="label" color="ochre">
                {mark}
              </Box>
            )}
          </NavLink>
        </Box>
      ))}
    </Box>
  );
}
