/** Counters and times in the text format that monitoring programs read. */
import type { RequestHandler } from 'express';

/** Upper ends of the buckets, s. */
const buckets = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 1, 5] as const;

export interface Metrics {
  readonly count: RequestHandler;
  /** `gauges` are figures of the moment by name. */
  text(gauges: Readonly<Record<string, number>>): string;
}

export function createMetrics(): Metrics {
  const byStatus = new Map<number, number>();
  const times = buckets.map(() => 0);
  let total = 0;
  let sumS = 0;
  return {
    count: (_request, response, next) => {
      const began = process.hrtime.bigint();
      response.on('finish', () => {
        const tookS = Number(process.hrtime.bigint() - began) / 1e9;
        byStatus.set(response.statusCode, (byStatus.get(response.statusCode) ?? 0) + 1);
        total += 1;
        sumS += tookS;
        buckets.forEach((end, at) => {
          if (tookS <= end) times[at] = (times[at] ?? 0) + 1;
        });
      });
      next();
    },
    text(gauges) {
      const lines = ['# TYPE fox_tempo_requests_total counter'];
      for (const [status, count] of [...byStatus].sort(([a], [b]) => a - b))
        lines.push(`fox_tempo_requests_total{status="${status}"} ${count}`);
      lines.push('# TYPE fox_tempo_request_seconds histogram');
      buckets.forEach((end, at) => lines.push(`fox_tempo_request_seconds_bucket{le="${end}"} ${times[at] ?? 0}`));
      lines.push(`fox_tempo_request_seconds_bucket{le="+Inf"} ${total}`);
      lines.push(`fox_tempo_request_seconds_sum ${sumS.toFixed(6)}`, `fox_tempo_request_seconds_count ${total}`);
      for (const [name, value] of Object.entries(gauges)) lines.push(`# TYPE ${name} gauge`, `${name} ${value}`);
      return `${lines.join('\n')}\n`;
    },
  };
}
