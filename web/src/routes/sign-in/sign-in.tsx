/** Who works at this screen: a name and a PIN, in two touches and four digits; on the demo shop a visitor may try it as anybody. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, format } from '../../lib/words.ts';
import { Box, Heading, chakra } from '@chakra-ui/react';
import { roleNames, type SessionState } from '@fox-tempo/contract';
import { useEffect, useState } from 'react';
import { useLoaderData, useNavigate, useSearchParams } from 'react-router';
import { api } from '../../data/api.ts';
import { session } from '../../session/session.ts';
import { settings, useSettings } from '../../session/settings.ts';
import { adoptPreferences } from '../../session/preferences.ts';
import { LanguageRow } from '../../ui/language-row.tsx';
import { useTask } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { announce } from '../../lib/notices.ts';
import { shopTime } from '../../lib/time.ts';
import { usePageTitle } from '../../ui/use-page-title.ts';
import { FirstOwner } from './first-owner.tsx';
import { PinPad } from './pin-pad.tsx';

export async function loadSignIn({ request }: { request: Request }) {
  const state = await api.session(request.signal);
  session.getState().take(state);
  return state;
}

/** What each role does here, in a line. */
const roleLines = {
  welder: t('view.sign-in.role.welder'),
  lead: t('view.sign-in.role.lead-hand'),
  office: t('view.sign-in.role.office'),
  owner: t('view.sign-in.role.owner'),
} as const;

type Name = SessionState['people'][number];

export function SignIn() {
  usePageTitle(t('view.app.sign-in'));
  const state = useLoaderData<SessionState>();
  const [params] = useSearchParams();
  const navigate = useNavigate();
  const lastId = useSettings((one) => one.personId);
  const [chosen, setChosen] = useState<Name | null>(
    () => state.people.find((one) => one.id === lastId && one.hasPin) ?? null,
  );
  const [pin, setPin] = useState('');
  const task = useTask();

  const enter = (personId: string, ask: () => Promise<SessionState>) =>
    void task
      .run(async () => {
        const now = await ask();
        session.getState().take(now);
        settings.getState().choosePerson(personId);
        const tried = now.me?.wrongTries;
        if (tried)
          announce({
            level: 'refusal',
            text: t('view.sign-in.wrong-tries', { count: tried.count, at: shopTime(tried.lastAt) }),
          });
        const place = placeAfter(params.get('next'));
        if (adoptPreferences(now.me?.preferences)) location.assign(place);
        else await navigate(place, { replace: true });
      })
      .then(() => setPin(''));

  return (
    <Box
      as="main"
      id="content"
      tabIndex={-1}
      minHeight="100vh"
      px={{ base: '4', md: '8' }}
      py={{ base: '6', md: '10' }}
    >
      <Box maxWidth="1040px" mx="auto">
        <Box display="flex" alignItems="baseline" gap="1" mb="1" fontWeight={750} fontStretch="84%" fontSize="title">
          {'Fox'}
          <Box color="accent">{'Tempo'}</Box>
        </Box>
        <Box mb="5" mt="3">
          <LanguageRow />
        </Box>
        <Heading as="h1" textStyle="title" fontSize="big" mb="6">
          {state.shop.name}
        </Heading>
        {state.needsOwner && <FirstOwner onDone={(ask) => enter('', ask)} task={task} />}
        {state.people.length > 0 && (
          <Box
            display="grid"
            gap={{ base: '6', md: '10' }}
            gridTemplateColumns={{ base: '1fr', md: 'minmax(0, 1fr) 252px' }}
            alignItems="start"
          >
            <Box>
              <Heading as="h2" textStyle="heading" mb="2">
                {t('view.sign-in.title')}
              </Heading>
              {state.shop.demo && (
                <Box color="quiet" fontSize="text" mb="3" maxWidth="62ch">
                  {t('view.sign-in.demo')}
                </Box>
              )}
              <Box display="grid" gap="2">
                {state.people.map((one) => (
                  <NameTile
                    key={one.id}
                    person={one}
                    chosen={chosen?.id === one.id}
                    onChoose={() => {
                      setChosen(one);
                      setPin('');
                      task.clear();
                    }}
                    onVisit={state.shop.demo ? () => enter(one.id, () => api.demoSignIn(one.id)) : null}
                    busy={task.busy}
                  />
                ))}
              </Box>
            </Box>
            <Box>
              {chosen !== null && !chosen.hasPin ? (
                <Notice level="caution" word={t('view.sign-in.no-pin')}>
                  {t('view.sign-in.no-pin-why', { chosen: chosen.name })}
                </Notice>
              ) : (
                <PinPad
                  label={
                    chosen === null ? t('view.sign-in.choose-name') : t('view.sign-in.pin-of', { chosen: chosen.name })
                  }
                  value={pin}
                  onChange={setPin}
                  disabled={task.busy || chosen === null}
                  describedBy={task.problem === null ? undefined : 'sign-in-trouble'}
                  onDone={() => {
                    if (chosen) enter(chosen.id, () => api.signIn(chosen.id, pin));
                  }}
                />
              )}
              {task.error && (
                <Box id="sign-in-trouble" mt="3" width={{ md: '252px' }}>
                  <Notice level="refusal" word={t('view.sign-in.not-signed-in')} urgent>
                    {task.error.message}
                    {task.error.problem.waitS !== undefined && <Wait seconds={task.error.problem.waitS} />}
                  </Notice>
                </Box>
              )}
            </Box>
          </Box>
        )}
      </Box>
    </Box>
  );
}

function NameTile({
  person,
  chosen,
  onChoose,
  onVisit,
  busy,
}: {
  readonly person: Name;
  readonly chosen: boolean;
  readonly onChoose: () => void;
  /** In without a PIN; null where that is not given. */
  readonly onVisit: (() => void) | null;
  readonly busy: boolean;
}) {
  return (
    <Box display="flex" gap="2">
      <chakra.button
        type="button"
        aria-pressed={chosen}
        onClick={onChoose}
        flex="1"
        display="block"
        minHeight="68px"
        minWidth={0}
        px="4"
        textAlign="start"
        bg={chosen ? 'accentSoft' : 'surface'}
        borderWidth="1px"
        borderColor={chosen ? 'accent' : 'line'}
        borderStartWidth="5px"
        borderRadius="3px"
        cursor="pointer"
        _hover={{ bg: 'accentSoft' }}
      >
        <Box fontSize="lead" fontWeight={600}>
          {person.name}
        </Box>
        <Box fontSize="small" color="quiet">
          {format(roleNames[person.role])}: {roleLines[person.role]}
        </Box>
      </chakra.button>
      {onVisit && (
        <Action
          minHeight="68px"
          disabled={busy}
          aria-label={t('view.sign-in.look-around-person', { person: person.name })}
          onClick={onVisit}
        >
          {t('view.sign-in.look-around')}
        </Action>
      )}
    </Box>
  );
}

/** Counts down to the next try. */
function Wait({ seconds }: { readonly seconds: number }) {
  const [left, setLeft] = useState(seconds);
  useEffect(() => {
    const timer = setInterval(() => setLeft((now) => Math.max(now - 1, 0)), 1000);
    return () => clearInterval(timer);
  }, []);
  return (
    <Box textStyle="figure" mt="1">
      {left > 0 ? format(amount('phaseTime', left)) : t('view.sign-in.try-again')}
    </Box>
  );
}

/** Only places of this application: an address from elsewhere is not followed. */
function placeAfter(next: string | null): string {
  return next !== null && /^\/(?![/\\])/.test(next) && !next.startsWith('/sign-in') ? next : '/today';
}
