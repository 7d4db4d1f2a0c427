import '@fontsource-variable/archivo/standard.css';
import '@fontsource/spline-sans-mono/500.css';
import { ChakraProvider } from '@chakra-ui/react';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { router } from './app/routes.tsx';
import { sweep } from './lib/device.ts';
import { system } from './ui/theme/system.ts';

// What nobody came back for goes with the first page of the day.
sweep();
const root = document.getElementById('root');
if (!root) throw new Error('index.html has no #root');
createRoot(root).render(
  <StrictMode>
    <ChakraProvider value={system}>
      <RouterProvider router={router} />
    </ChakraProvider>
  </StrictMode>,
);
