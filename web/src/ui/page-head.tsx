/** The head of a page: where it belongs, what it is about, one quiet line under it, and its acts at the right. */
import { t } from '../lib/words.ts';
import { Box, Heading } from '@chakra-ui/react';
import { memo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { usePageTitle } from './use-page-title.ts';

export interface PageHeadProps {
  readonly title: string;
  readonly line?: ReactNode;
  /** Where it belongs, the widest first. */
  readonly trail?: readonly { readonly name: string; readonly to: string }[];
  readonly children?: ReactNode;
}

export function PageHead({ title, line, trail = nowhere, children }: PageHeadProps) {
  usePageTitle(title);
  return (
    <Box
      as="header"
      display="flex"
      alignItems="center"
      columnGap="4"
      rowGap="0"
      flexWrap="wrap"
      minHeight="58px"
      px={{ base: '3', md: '5' }}
      py="1.5"
      borderBottomWidth="1px"
      borderColor="line"
    >
      <Titles title={title} line={line} trail={trail} />
      <Box display="flex" alignItems="center" gap="1.5" flexWrap="wrap">
        {children}
      </Box>
    </Box>
  );
}

/** Acts change with every step of a draft, what it is about hardly ever. */
const Titles = memo(function Titles({
  title,
  line,
  trail,
}: Required<Pick<PageHeadProps, 'title' | 'trail'>> & Pick<PageHeadProps, 'line'>) {
  return (
    <Box flex={{ base: '1 1 100%', md: '1 1 240px' }} minWidth={0}>
      {trail.length > 0 && (
        <Box
          as="nav"
          aria-label={t('view.ui.where-this-belongs')}
          textStyle="label"
          color="quiet"
          display="flex"
          gap="1.5"
        >
          {trail.map(({ name, to }) => (
            <Box key={to} display="flex" gap="1.5" minWidth={0}>
              <Box asChild truncate _hover={{ color: 'ink', textDecoration: 'underline' }}>
                <Link to={to}>{name}</Link>
              </Box>
              <Box aria-hidden="true">/</Box>
            </Box>
          ))}
        </Box>
      )}
      <Heading as="h1" textStyle="title">
        {title}
      </Heading>
      {line !== undefined && (
        <Box
          color="quiet"
          fontSize="small"
          truncate
          {...(typeof line === 'string' ? { title: line } : {})}
          display={{ base: 'none', md: 'block' }}
        >
          {line}
        </Box>
      )}
    </Box>
  );
});

const nowhere: NonNullable<PageHeadProps['trail']> = [];
