/** The interface itself; loaded once the words are there. */
import '@fontsource-variable/archivo/standard.css';
import '@fontsource/spline-sans-mono/500.css';
import { ChakraProvider } from '@chakra-ui/react';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { sweep } from '../lib/device.ts';
import { useSettings } from '../session/settings.ts';
import { system } from '../ui/theme/system.ts';
import { router } from './routes.tsx';

/** Sentences with figures in them are said anew when the units change. */
function Pages() {
  const units = useSettings((state) => state.units);
  return <RouterProvider key={units} router={router} />;
}

export function start(root: HTMLElement): void {
  // What nobody came back for goes with the first page of the day.
  sweep();
  createRoot(root).render(
    <StrictMode>
      <ChakraProvider value={system}>
        <Pages />
      </ChakraProvider>
    </StrictMode>,
  );
}
