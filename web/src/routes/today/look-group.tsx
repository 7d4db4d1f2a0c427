/** A few lines under a small head, each a way to what is to be looked at; what is beyond them is one line more. Nothing where there is nothing. */
import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { t } from '../../lib/words.ts';

/** More would push what matters off the page. */
const mostShown = 2;

export function LookGroup({
  title,
  rows,
  more,
}: {
  readonly title: string;
  readonly rows: readonly ReactNode[];
  /** Where all of them stand. */
  readonly more: string;
}) {
  if (rows.length === 0) return null;
  const left = rows.length - mostShown;
  return (
    <Box as="section" borderTopWidth="1px" borderColor="line" _first={{ borderTopWidth: 0 }} pt="1">
      <Box display="flex" justifyContent="space-between" gap="3">
        <Box asChild textStyle="label" color="quiet">
          <h3>{title}</h3>
        </Box>
        {left > 0 && (
          <Box asChild textStyle="label" color="accent" fontWeight={600} minHeight="24px">
            <Link to={more}>{t('view.today.more', { more: left })}</Link>
          </Box>
        )}
      </Box>
      <Box as="ul" listStyleType="none">
        {rows.slice(0, mostShown)}
      </Box>
    </Box>
  );
}

export function LookRow({
  to,
  mark,
  name,
  detail,
  color = 'ochre',
}: {
  readonly to: string;
  readonly mark?: string;
  readonly name: string;
  readonly detail: string;
  readonly color?: 'ochre' | 'crimson';
}) {
  return (
    <Box as="li">
      <Box
        asChild
        display="flex"
        justifyContent="space-between"
        alignItems="center"
        gap="3"
        minHeight="44px"
        px="2"
        mx="-2"
        color="ink"
        borderRadius="3px"
        fontSize="small"
        lineHeight="1.25"
        _hover={{ bg: 'accentSoft' }}
      >
        <Link to={to}>
          <Box as="span" fontWeight={600} color={mark === undefined ? 'ink' : color} flexShrink={0} maxWidth="60%">
            {mark === undefined ? '' : `${mark} `}
            {name}
          </Box>
          <Box as="span" fontSize="label" color="quiet" textAlign="end">
            {detail}
          </Box>
        </Link>
      </Box>
    </Box>
  );
}
