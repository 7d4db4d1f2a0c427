/** The head of a page: what it is about, one quiet line under it, and its acts at the right. */
import { Box, Heading } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { usePageTitle } from './use-page-title.ts';

export interface PageHeadProps {
  readonly title: string;
  readonly line?: ReactNode;
  readonly children?: ReactNode;
}

export function PageHead({ title, line, children }: PageHeadProps) {
  usePageTitle(title);
  return (
    <Box
      as="header"
      display="flex"
      alignItems="center"
      gap="4"
      flexWrap="wrap"
      minHeight="58px"
      px="5"
      py="1.5"
      borderBottomWidth="1px"
      borderColor="line"
    >
      <Box flex="1 1 320px" minWidth={0}>
        <Heading as="h1" textStyle="title">
          {title}
        </Heading>
        {line !== undefined && (
          <Box color="quiet" fontSize="13px" truncate>
            {line}
          </Box>
        )}
      </Box>
      <Box display="flex" alignItems="center" gap="1.5" flexWrap="wrap">
        {children}
      </Box>
    </Box>
  );
}
