/** The frame around every view: skip link, rail, who works here, and a line while the next view loads. */
import { written } from '@fox-tempo/words';
import { t, spoken } from '../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { useEffect, useLayoutEffect } from 'react';
import { Link, Outlet, redirect, ScrollRestoration, useLocation, useNavigation, type Location } from 'react-router';
import { api } from '../data/api.ts';
import { session, sessionAsked, useMe } from '../session/session.ts';
import { isForSomebodyElse, adoptPreferences, toggleTheme, toggleUnits } from '../session/preferences.ts';
import { useSettings } from '../session/settings.ts';
import { Overlays } from '../parts/palette/index.ts';
import { WaitingLine } from '../parts/waiting-line/index.ts';
import { visited } from '../parts/tour/index.ts';
import { Notice } from '../ui/notice.tsx';
import { PageNotices, StandingTroubles } from './page-notices.tsx';
import { Rail } from './rail.tsx';
import { signInAddress } from './sign-in-address.ts';

/** Nobody signed in: to the sign-in page, and back here afterwards. */
export async function loadFrame({ request }: { request: Request }) {
  const state = await api.session(request.signal).finally(sessionAsked);
  session.getState().take(state);
  if (adoptPreferences(state.me?.preferences)) {
    location.reload();
    // Nothing is shown in a language that is about to leave.
    await new Promise(() => undefined);
  }
  if (state.me === null) {
    const { pathname, search } = new URL(request.url);
    return redirect(signInAddress(`${pathname}${search}`));
  }
  return null;
}

/** A page opened afresh has the same key as any other such page: its address tells them apart. */
function placeOf({ key, pathname }: Location): string {
  return key === 'default' ? pathname : key;
}

export function Frame() {
  const me = useMe();
  const { pathname, search } = useLocation();
  const navigation = useNavigation();
  const hand = useSettings((state) => state.hand);
  const personId = me?.id;
  useEffect(() => {
    if (personId !== undefined) visited(personId, pathname);
  }, [personId, pathname]);
  // Before the first paint: a key pressed as soon as a view shows must not fall through.
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.shiftKey) return;
      const act = { F2: toggleUnits, F4: toggleTheme }[event.key];
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);

  return (
    <Box
      minHeight="100vh"
      display="flex"
      flexDirection={{ base: 'column', md: hand === 'left' ? 'row-reverse' : 'row' }}
    >
      <Box
        asChild
        position="absolute"
        insetStart="-999px"
        top="2"
        zIndex={10}
        bg="surface"
        color="ink"
        px="4"
        py="3"
        borderWidth="2px"
        borderColor="accent"
        _focus={{ insetStart: '2' }}
      >
        <a href="#content">{t('view.app.skip-to-content')}</a>
      </Box>
      <Rail />
      <Box flex="1" minWidth={0} display="flex" flexDirection="column" position="relative">
        {navigation.state !== 'idle' && (
          <Box role="status" position="absolute" top="0" insetInline="0" height="3px" bg="accent">
            <Box as="span" srOnly>
              {t('view.app.loading')}
            </Box>
          </Box>
        )}
        {me === null && (
          <Box position="sticky" top="0" zIndex={5}>
            <Notice level="caution" word={t('view.app.signed-out')} urgent>
              {t('view.app.session-ended')}{' '}
              <Box asChild color="accent" fontWeight={600} textDecoration="underline">
                <Link to={signInAddress(`${pathname}${search}`)}>{t('view.app.sign-in-again')}</Link>
              </Box>
            </Notice>
          </Box>
        )}
        {isForSomebodyElse() && (
          <Notice level="note" word={t('view.app.for-another-reader')}>
            {t('view.app.card-language', { language: written[spoken().language].name })}{' '}
            <Box asChild color="accent" fontWeight={600} textDecoration="underline">
              <a href={pathname}>{t('view.app.own-language')}</a>
            </Box>
          </Notice>
        )}
        <StandingTroubles />
        <WaitingLine />
        <Outlet />
      </Box>
      <PageNotices />
      <Overlays />
      <ScrollRestoration getKey={placeOf} />
    </Box>
  );
}
