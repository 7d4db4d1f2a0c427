/** Answers the sums of `sums.ts` off the page's thread. */
import { success } from '@fox-tempo/core/base/outcome';
import type { SumWork } from './protocol.ts';
import { serveQuestions } from './serve.ts';
import { sums } from './sums.ts';

serveQuestions<SumWork>((ask) =>
  Promise.resolve(
    success(
      ask.of === 'ranking'
        ? sums.ranking(ask.with)
        : ask.of === 'heatOrder'
          ? sums.heatOrder(ask.with)
          : ask.of === 'dayPlan'
            ? sums.dayPlan(ask.with)
            : ask.of === 'shiftPage'
              ? sums.shiftPage(ask.with)
              : sums.lowStock(ask.with),
    ),
  ),
);
