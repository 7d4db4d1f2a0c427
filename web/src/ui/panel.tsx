/** A surface with a rule around it; the one container of the application. */
import { Box, Heading, type BoxProps } from '@chakra-ui/react';
import type { ReactNode } from 'react';

export interface PanelProps extends Omit<BoxProps, 'title'> {
  readonly title?: string;
  /** Stands at the right of the title. */
  readonly aside?: ReactNode;
  readonly level?: 2 | 3;
}

export function Panel({ title, aside, level = 2, children, ...rest }: PanelProps) {
  return (
    <Box
      as="section"
      bg="surface"
      borderWidth="1px"
      borderColor="line"
      borderRadius="4px"
      px="4"
      py="3"
      minWidth={0}
      {...rest}
    >
      {(title !== undefined || aside !== undefined) && (
        <Box display="flex" alignItems="baseline" justifyContent="space-between" gap="3" mb="2">
          {title !== undefined && (
            <Heading as={`h${level}`} textStyle="heading">
              {title}
            </Heading>
          )}
          {aside}
        </Box>
      )}
      {children}
    </Box>
  );
}
