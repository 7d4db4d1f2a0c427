/** Routes are nouns. Views load their data before they show, and come as chunks of their own. */
import { t } from '../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { ComponentType } from 'react';
import { createBrowserRouter, redirect, type LoaderFunction, type RouteObject } from 'react-router';
import { ProblemError } from '../data/api.ts';
import { ErrorPage } from './error-page.tsx';
import { Frame, loadFrame } from './frame.tsx';

function Loading() {
  return (
    <Box as="main" minHeight="100vh" display="grid" placeItems="center" color="quiet" role="status">
      {t('view.app.loading-fox-tempo')}
    </Box>
  );
}

/** A view of its own chunk: what its folder exports as its component, and what it loads before it shows. */
function page<Module>(
  path: string,
  load: () => Promise<Module>,
  component: keyof Module,
  loader?: keyof Module,
): RouteObject {
  return {
    path,
    lazy: async () => {
      const module = await load();
      return {
        Component: module[component] as ComponentType,
        ...(loader ? { loader: module[loader] as LoaderFunction } : {}),
      };
    },
  };
}

export const router = createBrowserRouter([
  {
    path: '/sign-in',
    ErrorBoundary: ErrorPage,
    HydrateFallback: Loading,
    lazy: async () => {
      const { SignIn, loadSignIn } = await import('../routes/sign-in/index.ts');
      return { Component: SignIn, loader: loadSignIn };
    },
  },
  {
    // Full screen, without the rail: read at two metres, and opened from a printed card.
    path: '/at-machine/:id',
    ErrorBoundary: ErrorPage,
    HydrateFallback: Loading,
    lazy: async () => {
      const { BenchMode, loadBenchMode } = await import('../routes/at-machine/index.ts');
      return {
        Component: BenchMode,
        loader: async (args: { params: { id?: string }; request: Request }) =>
          (await loadFrame(args)) ?? (await loadBenchMode(args)),
      };
    },
  },
  {
    path: '/',
    Component: Frame,
    loader: loadFrame,
    ErrorBoundary: ErrorPage,
    HydrateFallback: Loading,
    // Who is signed in is told by every answer; views load their own data.
    shouldRevalidate: () => false,
    children: [
      { index: true, loader: () => redirect('/today') },
      {
        ErrorBoundary: ErrorPage,
        children: [
          page('today', () => import('../routes/today/index.ts'), 'Today', 'loadToday'),
          page('seams', () => import('../routes/seams/index.ts'), 'SeamList', 'loadSeamList'),
          page('seams/:id', () => import('../routes/seams/index.ts'), 'SeamSheet', 'loadSeamSheet'),
          page('seams/:id/wire', () => import('../routes/wire-choice/index.ts'), 'WireChoice', 'loadWireChoice'),
          page('seams/:id/setup', () => import('../routes/setup/index.ts'), 'Setup', 'loadSetup'),
          page('seams/:id/store', () => import('../routes/store/index.ts'), 'Store', 'loadStore'),
          page('seams/:id/trial', () => import('../routes/trials/index.ts'), 'TrialRecord', 'loadTrialRecord'),
          page('seams/:id/trial-plan', () => import('../routes/trials/index.ts'), 'TrialPlan', 'loadTrialPlan'),
          page('seams/:id/heat', () => import('../routes/heat/index.ts'), 'Heat', 'loadHeat'),
          page('seams/:id/window', () => import('../routes/window/index.ts'), 'WindowView', 'loadWindow'),
          page('seams/:id/procedure', () => import('../routes/procedure/index.ts'), 'ProcedureView', 'loadProcedure'),
          page('waiting', () => import('../routes/waiting/index.ts'), 'Waiting'),
          page('costs', () => import('../routes/costs/index.ts'), 'Costs', 'loadCosts'),
          page('run-plan', () => import('../routes/run-plan/index.ts'), 'RunPlan', 'loadRunPlan'),
          page('shift', () => import('../routes/shift/index.ts'), 'Shift', 'loadShift'),
          page('runs', () => import('../routes/runs/index.ts'), 'RunList', 'loadRuns'),
          page('trials', () => import('../routes/trials/index.ts'), 'TrialList', 'loadTrials'),
          page('trials/compare', () => import('../routes/trials/index.ts'), 'CompareTrials', 'loadCompareTrials'),
          page('trials/:id', () => import('../routes/trials/index.ts'), 'TrialView', 'loadTrial'),
          {
            path: 'simulator',
            lazy: async () => {
              const { loadAnyBench } = await import('../routes/simulator/index.ts');
              return { loader: loadAnyBench };
            },
          },
          page('simulator/:id', () => import('../routes/simulator/index.ts'), 'Bench', 'loadBench'),
          {
            path: 'sequence',
            lazy: async () => {
              const { loadAnyScore } = await import('../routes/sequence/index.ts');
              return { loader: loadAnyScore };
            },
          },
          page('sequence/:id/:part?', () => import('../routes/sequence/index.ts'), 'ScoreView', 'loadScore'),
          page('machines', () => import('../routes/machines/index.ts'), 'MachineList', 'loadMachineList'),
          page('machines/compare', () => import('../routes/compare/index.ts'), 'Compare', 'loadCompare'),
          page('machines/:id/:part?', () => import('../routes/machines/index.ts'), 'Machine', 'loadMachine'),
          page('library/:shelf?', () => import('../routes/library/index.ts'), 'Library', 'loadLibrary'),
          page('shop/:part?', () => import('../routes/shop/index.ts'), 'Shop', 'loadShop'),
          // Addresses of earlier versions, as they stand on printed cards and in bookmarks.
          { path: 'bench/:id?', loader: moved('/bench', '/simulator') },
          { path: 'score/:id?/:part?', loader: moved('/score', '/sequence') },
          { path: 'bench-mode/:id', loader: moved('/bench-mode', '/at-machine') },
          { path: '*', loader: notThere },
        ],
      },
    ],
  },
]);

/** Goes on to where an address leads today, with what was asked of it. */
function moved(from: string, to: string) {
  return ({ request }: { request: Request }) => {
    const { pathname, search } = new URL(request.url);
    return redirect(`${to}${pathname.slice(from.length)}${search}`);
  };
}

function notThere(): never {
  throw new ProblemError('not-found', {
    type: 'about:blank',
    title: t('contract.problem.not-found'),
    status: 404,
    detail: t('view.app.link-old'),
  });
}
