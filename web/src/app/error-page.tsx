/** What is shown when a view cannot be: what happened, what is safe, and the way on. */
import { t, format } from '../lib/words.ts';
import { Box, Heading } from '@chakra-ui/react';
import { Link, useLocation, useRevalidator, useRouteError } from 'react-router';
import { ProblemError } from '../data/api.ts';
import { Action } from '../ui/action.tsx';
import { signInAddress } from './sign-in-address.ts';

export function ErrorPage() {
  const error = useRouteError();
  const { revalidate, state } = useRevalidator();
  const { title, detail, mayRetry } = explain(error);
  const { pathname, search } = useLocation();
  const signedOut = error instanceof ProblemError && error.kind === 'not-signed-in';
  return (
    <Box as="main" id="content" p="6" maxWidth="640px">
      <Heading as="h1" textStyle="title" mb="2">
        {title}
      </Heading>
      <Box mb="4">{t('view.app.drafts-kept', { detail })}</Box>
      <Box display="flex" gap="2" alignItems="center">
        {mayRetry && (
          <Action
            kind="main"
            disabled={state === 'loading'}
            onClick={() => {
              if (mayRetry === 'reload') window.location.reload();
              else void revalidate();
            }}
          >
            {state === 'loading' ? t('view.app.trying') : t('view.app.try-again')}
          </Action>
        )}
        <Box asChild minHeight="44px" display="inline-flex" alignItems="center" px="3" color="accent" fontWeight={600}>
          {signedOut ? (
            <Link to={signInAddress(`${pathname}${search}`)}>{t('view.app.sign-in')}</Link>
          ) : (
            <Link to="/today">{t('view.app.to-today')}</Link>
          )}
        </Box>
      </Box>
    </Box>
  );
}

function explain(error: unknown): { title: string; detail: string; mayRetry: boolean | 'reload' } {
  if (error instanceof ProblemError) {
    return { title: format(error.problem.title), detail: error.message, mayRetry: error.kind !== 'not-found' };
  }
  // A view's chunk that cannot be fetched: the server is gone, or was replaced by a newer build.
  if (error instanceof TypeError && /import|fetch/i.test(error.message)) {
    return {
      title: t('view.app.no-server'),
      detail: t('view.app.view-failed'),
      mayRetry: 'reload',
    };
  }
  console.error(error);
  return {
    title: t('view.app.this-view-broke'),
    detail: t('view.app.view-failed-hint'),
    mayRetry: true,
  };
}
