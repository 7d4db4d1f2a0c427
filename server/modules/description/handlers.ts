/** The server about itself: alive, ready, measured, and the API as OpenAPI for programs and one plain page for people. */
import { english } from '@fox-tempo/words/english';
import { openApiDocument } from '@fox-tempo/contract';
import type { ComputePool } from '../../compute-pool/pool.ts';
import type { Connection } from '../../db/connection.ts';
import { Raw, type Handlers } from '../../http/endpoints.ts';
import type { Metrics } from '../../http/metrics.ts';
import { ping } from '../shop/index.ts';

export function descriptionHandlers(
  connection: Connection,
  metrics: Metrics,
  pool: ComputePool,
): Pick<Handlers, 'health' | 'ready' | 'metrics' | 'openapi' | 'docs'> {
  const document = openApiDocument(english.format);
  const html = page(document);
  return {
    health: () => Promise.resolve({ status: 'ok' }),
    ready: async ({ db }) => {
      await ping(db);
      return { status: 'ok' };
    },
    metrics: () => {
      const { totalCount, idleCount, waitingCount } = connection.pool;
      const { running, waiting } = pool.load();
      const text = metrics.text({
        fox_tempo_database_connections: totalCount,
        fox_tempo_database_connections_idle: idleCount,
        fox_tempo_database_waiting: waitingCount,
        fox_tempo_compute_threads: running,
        fox_tempo_compute_waiting: waiting,
        process_resident_memory_bytes: process.memoryUsage.rss(),
        process_uptime_seconds: Math.round(process.uptime()),
      });
      return Promise.resolve(new Raw((response) => response.type('text/plain; version=0.0.4').send(text)));
    },
    openapi: () => Promise.resolve(document),
    docs: () => Promise.resolve(new Raw((response) => response.type('html').send(html))),
  };
}
function page(document: Record<string, unknown>): string {
  const paths = document['paths'] as Record<
    string,
    Record<string, { summary: string; requestBody?: unknown; parameters?: { name: string; description: string }[] }>
  >;
  const rows = Object.entries(paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, operation]) => {
      const needs = (operation.parameters ?? [])
        .map((parameter) => `<li><code>${escape(parameter.name)}</code> ${escape(parameter.description)}</li>`)
        .join('');
      const body = operation.requestBody
        ? `<details><summary>Body</summary><pre>${escape(JSON.stringify(operation.requestBody, null, 2))}</pre></details>`
        : '';
      return `<section><h2><code>${method.toUpperCase()} /api${escape(path)}</code></h2><p>${escape(operation.summary)}</p>${needs === '' ? '' : `<ul>${needs}</ul>`}${body}</section>`;
    }),
  );
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Fox Tempo, API</title>
<style>body{font:15px/1.45 system-ui,sans-serif;max-width:60rem;margin:2rem auto;padding:0 1rem;background:#fcf9f2;color:#25211b}h2{font-size:1rem;margin:1.5rem 0 .2rem}pre{overflow:auto;background:#f4eee2;padding:1rem}</style></head>
<body><main><h1>Fox Tempo, API</h1><p>For programs: <a href="/api/openapi.json">openapi.json</a>. Errors are RFC 9457 problem documents. Writes carry If-Match or Idempotency-Key; who writes comes from the session.</p>${rows.join('')}</main></body></html>`;
}

function escape(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('"', '&quot;');
}
