/** Routes are nouns. Views load their data before they show, and come as chunks of their own. */
import { Box } from '@chakra-ui/react';
import { createBrowserRouter, redirect } from 'react-router';
import { ProblemError } from '../lib/api.ts';
import { ErrorPage } from './error-page.tsx';
import { Frame, loadFrame } from './frame.tsx';

function Loading() {
  return (
    <Box as="main" minHeight="100vh" display="grid" placeItems="center" color="quiet" role="status">
      Loading Fox Tempo…
    </Box>
  );
}

export const router = createBrowserRouter([
  {
    path: '/',
    Component: Frame,
    loader: loadFrame,
    ErrorBoundary: ErrorPage,
    HydrateFallback: Loading,
    // People rarely change; views load their own data.
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
          { path: '*', loader: notThere },
        ],
      },
    ],
  },
]);

function notThere(): never {
  throw new ProblemError('not-found', {
    type: 'about:blank',
    title: 'There is nothing at this address',
    status: 404,
    detail: 'The link may be old.',
  });
}
