/** Figures under their names, four in a row where there is room. */
import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

export function LabelledGrid({ children }: { readonly children: ReactNode }) {
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: '1fr 1fr', sm: 'repeat(4, minmax(0, 1fr))' }}
      columnGap="4"
      rowGap="1.5"
    >
      {children}
    </Box>
  );
}

export function Labelled({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <Box>
      <Box textStyle="label" color="quiet">
        {label}
      </Box>
      {children}
    </Box>
  );
}
