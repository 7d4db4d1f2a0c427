/** The rail: the views that exist, each with a small drawing of its physics; light, units and who works here at its foot. */
import { written } from '@fox-tempo/words';
import { t, format, spoken } from '../lib/words.ts';
import { Box, chakra } from '@chakra-ui/react';
import { roleNames } from '@fox-tempo/contract';
import type { ReactNode } from 'react';
import { Link, NavLink, useLocation } from 'react-router';
import { openOverlay } from '../parts/palette/index.ts';
import { useMe } from '../session/session.ts';
import { toggleTheme, toggleUnits, usePreferences } from '../session/preferences.ts';
import { signInAddress } from './sign-in-address.ts';
import { BookA, Moon, Search, Sun } from 'lucide-react';

interface Stop {
  readonly to: string;
  readonly name: string;
  readonly drawing: ReactNode;
}

const stops: readonly Stop[] = [
  // Three beads laid on a plate: what the day asks for.
  {
    to: '/today',
    name: t('view.app.today'),
    drawing: <path d="M2 19h20M4 19c0-5 4-5 4 0M10 19c0-5 4-5 4 0M16 19c0-5 4-5 4 0M4 6h16M4 10h9" />,
  },
  // A tee with its fillet.
  { to: '/seams', name: t('view.app.seams'), drawing: <path d="M2 19h20M8 19V3M8 11l8 8" /> },
  // A wire between two drive rolls.
  {
    to: '/machines',
    name: t('view.app.machines'),
    drawing: <path d="M2 12h20M12 9a4 4 0 1 1 .01 0ZM12 23a4 4 0 1 1 .01 0Z" />,
  },
  // Wire, arc and pool.
  { to: '/simulator', name: t('view.app.arc-simulator'), drawing: <path d="M12 2v8M12 10l-6 9M12 10l6 9M2 20h20" /> },
  // A weld over time: hot start, main, crater.
  { to: '/sequence', name: t('view.app.sequence'), drawing: <path d="M2 20h20M3 20V6h5l3 4h6l3 6v4" /> },
  // A bead on a coupon, and a tick.
  { to: '/trials', name: t('view.app.trials'), drawing: <path d="M2 20h20M4 20c0-4 8-4 8 0M12 9l4 4 6-9" /> },
  // Bars of work on three machines, one after the other.
  { to: '/run-plan', name: t('view.run-plan.run-plan'), drawing: <path d="M2 4v16M5 6h8M9 12h11M5 18h6M16 18h4" /> },
  // A spool seen from the side, wire leaving it.
  {
    to: '/library',
    name: t('view.app.library'),
    drawing: <path d="M4 4h3v16H4ZM17 4h3v16h-3ZM7 7h10M7 12h10M7 17h10l4 4" />,
  },
  // A saw-tooth roof.
  { to: '/shop', name: t('view.app.shop'), drawing: <path d="M3 20V10l6-5v5l6-5v5l6-5v15ZM9 20v-5h6v5" /> },
];

export function Rail() {
  return (
    <Box
      as="nav"
      aria-label={t('view.app.views')}
      display="flex"
      flexDirection={{ base: 'row', md: 'column' }}
      alignItems="stretch"
      width={{ base: '100%', md: '84px' }}
      flexShrink={0}
      borderEndWidth={{ base: 0, md: '1px' }}
      borderBottomWidth={{ base: '1px', md: 0 }}
      borderColor="line"
      position={{ base: 'static', md: 'sticky' }}
      overflowX={{ base: 'auto', md: 'visible' }}
      top="0"
      height={{ base: 'auto', md: '100vh' }}
      gap={{ base: '1', md: '0' }}
    >
      <Box
        display={{ base: 'none', md: 'block' }}
        textAlign="center"
        fontWeight={750}
        fontStretch="84%"
        fontSize="lead"
        lineHeight="1"
        pt="2.5"
        pb="2"
      >
        {'Fox'}
        <Box color="accent">{'Tempo'}</Box>
      </Box>
      {stops.map(({ to, name, drawing }) => (
        <Box
          asChild
          key={to}
          display="flex"
          flexDirection="column"
          alignItems="center"
          justifyContent="center"
          gap={{ base: '1', md: '0.5' }}
          minHeight={{ base: '56px', md: '50px' }}
          minWidth="64px"
          fontSize="label"
          fontWeight={600}
          textAlign="center"
          lineHeight="1.2"
          px="0.5"
          color="quiet"
          borderStartWidth={{ base: 0, md: '4px' }}
          borderEndWidth={{ base: 0, md: '4px' }}
          borderColor="transparent"
          _hover={{ color: 'ink' }}
          css={{
            '&[aria-current=page]': {
              color: 'var(--chakra-colors-ink)',
              background: 'var(--chakra-colors-accent-soft)',
              borderStartColor: 'var(--chakra-colors-accent)',
            },
          }}
        >
          <NavLink to={to}>
            <svg
              width="24"
              height="24"
              viewBox="0 0 24 24"
              fill="none"
              stroke="currentColor"
              strokeWidth="1.8"
              strokeLinejoin="round"
              aria-hidden="true"
            >
              {drawing}
            </svg>
            {name}
          </NavLink>
        </Box>
      ))}
      <Box flex="1" />
      <Helps />
      <WhoWorks />
      <Switches />
    </Box>
  );
}

/** Finding and words for those without a keyboard. */
function Helps() {
  return (
    <Box display="flex" flexDirection={{ base: 'row', md: 'column' }}>
      <RailButton
        label={t('view.app.search')}
        hint={t('view.app.search-tip')}
        onClick={() => openOverlay('find')}
        top={<Search size={18} />}
        word={t('view.app.find')}
      />
      <RailButton
        label={t('view.app.glossary')}
        hint={t('view.app.glossary-tip')}
        onClick={() => openOverlay('words')}
        top={<BookA size={18} />}
        word={t('view.app.words')}
      />
    </Box>
  );
}

/** Whose name stands under what is saved from this screen; a touch changes over. */
function WhoWorks() {
  const me = useMe();
  const { pathname, search } = useLocation();
  return (
    <Box
      asChild
      display="grid"
      alignContent="center"
      textAlign="center"
      fontSize="label"
      color="quiet"
      minHeight="52px"
      minWidth="56px"
      _hover={{ color: 'ink', bg: 'accentSoft' }}
    >
      <Link
        to={signInAddress(`${pathname}${search}`)}
        title={me ? t('view.app.other-person', { me: me.name }) : t('view.app.sign-in')}
        aria-label={me ? t('view.app.switch-user', { me: me.name, role: roleNames[me.role] }) : t('view.app.sign-in')}
      >
        <Box fontFamily="mono" fontSize="body" color="ink" lineHeight="1.2" aria-hidden="true">
          {me ? initials(me.name) : '?'}
        </Box>
        <Box aria-hidden="true">{me ? format(roleNames[me.role]) : t('view.app.sign-in-link')}</Box>
      </Link>
    </Box>
  );
}

function initials(name: string): string {
  return name
    .split(' ')
    .map((word) => word.charAt(0))
    .join('');
}

function Switches() {
  const { theme, units } = usePreferences();
  const { language } = spoken();
  return (
    <Box display="flex" flexDirection={{ base: 'row', md: 'column' }} pb={{ base: 0, md: '2' }}>
      <RailButton
        label={units === 'metric' ? t('view.app.units-metric') : t('view.app.units-us')}
        hint={t('view.app.units-tip')}
        onClick={toggleUnits}
        top={units === 'metric' ? 'mm' : 'in'}
        word={units === 'metric' ? t('view.app.metric') : t('view.app.us')}
      />
      <RailButton
        label={theme === 'day' ? t('view.app.light-day') : t('view.app.light-night')}
        hint={t('view.app.theme-tip')}
        onClick={toggleTheme}
        top={theme === 'day' ? <Sun size={18} /> : <Moon size={18} />}
        word={theme === 'day' ? t('view.palette.day') : t('view.palette.night')}
      />
      <RailButton
        label={written[language].name}
        hint={t('view.palette.how-you-read')}
        onClick={() => openOverlay('reading')}
        top={language}
        word={written[language].name}
      />
    </Box>
  );
}

function RailButton({
  label,
  hint,
  top,
  word,
  onClick,
}: {
  readonly label: string;
  readonly hint: string;
  readonly top: ReactNode;
  readonly word: string;
  readonly onClick: () => void;
}) {
  return (
    <chakra.button
      type="button"
      onClick={onClick}
      title={hint}
      aria-label={`${label}. ${hint}`}
      minHeight="48px"
      minWidth="56px"
      color="quiet"
      fontSize="label"
      cursor="pointer"
      _hover={{ color: 'ink', bg: 'accentSoft' }}
    >
      <Box fontFamily="mono" fontSize="body" color="ink" lineHeight="1.2" display="grid" justifyItems="center">
        {top}
      </Box>
      {word}
    </chakra.button>
  );
}
