/** The chart library is large; it comes only when a waveform is to be seen. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { PulseResult } from '@fox-tempo/core/setting/pulse';
import { lazy, Suspense } from 'react';

const Chart = lazy(async () => ({ default: (await import('./waveform-chart.tsx')).WaveformChart }));

export function Waveform({ pulse }: { readonly pulse: PulseResult }) {
  return (
    <Suspense
      fallback={
        <Box height="258px" display="grid" placeItems="center" color="quiet" fontSize="small" role="status">
          {t('view.waveform.drawing-the-pulse')}
        </Box>
      }
    >
      <Chart pulse={pulse} />
    </Suspense>
  );
}
