/** A line that leads on to another view, high enough for a finger. */
import { Box, type BoxProps } from '@chakra-ui/react';
import { Link } from 'react-router';

export function WayOn({
  to,
  children,
  ...look
}: Omit<BoxProps, 'children'> & { readonly to: string; readonly children: string }) {
  return (
    <Box asChild color="accent" fontWeight={600} minHeight="44px" display="inline-flex" alignItems="center" {...look}>
      <Link to={to}>{children}</Link>
    </Box>
  );
}
