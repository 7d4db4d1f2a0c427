/** What a page is about: the skip link leads to it. */
import { Box, type BoxProps } from '@chakra-ui/react';

export function Main(props: BoxProps) {
  return (
    <Box
      as="main"
      id="content"
      tabIndex={-1}
      p="3"
      display="grid"
      gap="3"
      alignContent="start"
      minWidth={0}
      {...props}
    />
  );
}
