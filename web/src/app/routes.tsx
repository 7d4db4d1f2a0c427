/** Routes are nouns. Views load their data before they show, and come as chunks of their own. */
import { t } from '../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { createBrowserRouter, redirect } from 'react-router';
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

export const router = createBrowserRouter([
  {
    path: '/sign-in',
    ErrorBoundary: ErrorPage,
    HydrateFallback: Loading,
    lazy: async () => {
      const { SignIn, loadSignIn } = await import('../features/sign-in/index.ts');
      return { Component: SignIn, loader: loadSignIn };
    },
  },
  {
    // Full screen, without the rail: read at two metres, and opened from a printed card.
    path: '/at-machine/:id',
    ErrorBoundary: ErrorPage,
    HydrateFallback: Loading,
    lazy: async () => {
      const { BenchMode, loadBenchMode } = await import('../features/bench-mode/index.ts');
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
          {
            path: 'today',
            lazy: async () => {
              const { Today, loadToday } = await import('../features/today/index.ts');
              return { Component: Today, loader: loadToday };
            },
          },
          {
            path: 'seams',
            lazy: async () => {
              const { SeamList, loadSeamList } = await import('../features/seams/index.ts');
              return { Component: SeamList, loader: loadSeamList };
            },
          },
          {
            path: 'seams/:id',
            lazy: async () => {
              const { SeamSheet, loadSeamSheet } = await import('../features/seams/index.ts');
              return { Component: SeamSheet, loader: loadSeamSheet };
            },
          },
          {
            path: 'seams/:id/wire',
            lazy: async () => {
              const { WireChoice, loadWireChoice } = await import('../features/wire-choice/index.ts');
              return { Component: WireChoice, loader: loadWireChoice };
            },
          },
          {
            path: 'seams/:id/setup',
            lazy: async () => {
              const { Setup, loadSetup } = await import('../features/setup/index.ts');
              return { Component: Setup, loader: loadSetup };
            },
          },
          {
            path: 'seams/:id/store',
            lazy: async () => {
              const { Store, loadStore } = await import('../features/memory/index.ts');
              return { Component: Store, loader: loadStore };
            },
          },
          {
            path: 'seams/:id/trial',
            lazy: async () => {
              const { TrialRecord, loadTrialRecord } = await import('../features/trials/index.ts');
              return { Component: TrialRecord, loader: loadTrialRecord };
            },
          },
          {
            path: 'seams/:id/trial-plan',
            lazy: async () => {
              const { TrialPlan, loadTrialPlan } = await import('../features/trials/index.ts');
              return { Component: TrialPlan, loader: loadTrialPlan };
            },
          },
          {
            path: 'seams/:id/heat',
            lazy: async () => {
              const { Heat, loadHeat } = await import('../features/heat/index.ts');
              return { Component: Heat, loader: loadHeat };
            },
          },
          {
            path: 'seams/:id/window',
            lazy: async () => {
              const { WindowView, loadWindow } = await import('../features/window/index.ts');
              return { Component: WindowView, loader: loadWindow };
            },
          },
          {
            path: 'seams/:id/procedure',
            lazy: async () => {
              const { ProcedureView, loadProcedure } = await import('../features/procedure/index.ts');
              return { Component: ProcedureView, loader: loadProcedure };
            },
          },
          {
            path: 'waiting',
            lazy: async () => {
              const { Waiting } = await import('../features/waiting/index.ts');
              return { Component: Waiting };
            },
          },
          {
            path: 'costs',
            lazy: async () => {
              const { Costs, loadCosts } = await import('../features/costs/index.ts');
              return { Component: Costs, loader: loadCosts };
            },
          },
          {
            path: 'run-plan',
            lazy: async () => {
              const { RunPlan, loadRunPlan } = await import('../features/run-plan/index.ts');
              return { Component: RunPlan, loader: loadRunPlan };
            },
          },
          {
            path: 'shift',
            lazy: async () => {
              const { Shift, loadShift } = await import('../features/shift/index.ts');
              return { Component: Shift, loader: loadShift };
            },
          },
          {
            path: 'runs',
            lazy: async () => {
              const { RunList, loadRuns } = await import('../features/runs/index.ts');
              return { Component: RunList, loader: loadRuns };
            },
          },
          {
            path: 'trials',
            lazy: async () => {
              const { TrialList, loadTrials } = await import('../features/trials/index.ts');
              return { Component: TrialList, loader: loadTrials };
            },
          },
          {
            path: 'trials/compare',
            lazy: async () => {
              const { CompareTrials, loadCompareTrials } = await import('../features/trials/index.ts');
              return { Component: CompareTrials, loader: loadCompareTrials };
            },
          },
          {
            path: 'trials/:id',
            lazy: async () => {
              const { TrialView, loadTrial } = await import('../features/trials/index.ts');
              return { Component: TrialView, loader: loadTrial };
            },
          },
          {
            path: 'simulator',
            lazy: async () => {
              const { loadAnyBench } = await import('../features/bench/index.ts');
              return { loader: loadAnyBench };
            },
          },
          {
            path: 'simulator/:id',
            lazy: async () => {
              const { Bench, loadBench } = await import('../features/bench/index.ts');
              return { Component: Bench, loader: loadBench };
            },
          },
          {
            path: 'sequence',
            lazy: async () => {
              const { loadAnyScore } = await import('../features/score/index.ts');
              return { loader: loadAnyScore };
            },
          },
          {
            path: 'sequence/:id/:part?',
            lazy: async () => {
              const { ScoreView, loadScore } = await import('../features/score/index.ts');
              return { Component: ScoreView, loader: loadScore };
            },
          },
          {
            path: 'machines',
            lazy: async () => {
              const { MachineList, loadMachineList } = await import('../features/machines/index.ts');
              return { Component: MachineList, loader: loadMachineList };
            },
          },
          {
            path: 'machines/compare',
            lazy: async () => {
              const { Compare, loadCompare } = await import('../features/compare/index.ts');
              return { Component: Compare, loader: loadCompare };
            },
          },
          {
            path: 'machines/:id/:part?',
            lazy: async () => {
              const { Machine, loadMachine } = await import('../features/machines/index.ts');
              return { Component: Machine, loader: loadMachine };
            },
          },
          {
            path: 'library/:shelf?',
            lazy: async () => {
              const { Library, loadLibrary } = await import('../features/library/index.ts');
              return { Component: Library, loader: loadLibrary };
            },
          },
          {
            path: 'shop/:part?',
            lazy: async () => {
              const { Shop, loadShop } = await import('../features/shop/index.ts');
              return { Component: Shop, loader: loadShop };
            },
          },
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
