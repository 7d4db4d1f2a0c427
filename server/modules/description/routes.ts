/** The API describing itself: OpenAPI for programs, one plain page for people. */
import { openApiDocument } from '@fox-tempo/contract';
import { Router } from 'express';

export function descriptionRoutes(): Router {
  const router = Router();
  const document = openApiDocument();
  router.get('/openapi.json', (_request, response) => {
    response.json(document);
  });
  router.get('/docs', (_request, response) => {
    response.type('html').send(page(document));
  });
  return router;
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
<body><main><h1>Fox Tempo, API</h1><p>For programs: <a href="/api/openapi.json">openapi.json</a>. Errors are RFC 9457 problem documents. Writes carry If-Match and name their author.</p>${rows.join('')}</main></body></html>`;
}

function escape(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('"', '&quot;');
}
