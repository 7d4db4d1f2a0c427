/**
 * Writes the plain facts of the endpoints out in place of `src/data/endpoint-facts.ts`: the contract is bundled and run once at build time, so
 * that the first view loads method, path and needs, and not the shapes that check bodies.
 */
import { buildSync } from 'esbuild';
import type { Plugin } from 'vite';

/** Of an endpoint: what a client needs before it has loaded any shape. */
const plain = ['method', 'path', 'act', 'needs', 'paged', 'late'];

export function endpointFacts(): Plugin {
  return {
    name: 'endpoint-facts',
    apply: 'build',
    enforce: 'pre',
    async load(id) {
      if (!id.endsWith('/src/data/endpoint-facts.ts')) return null;
      const [bundle] = buildSync({
        entryPoints: [new URL('../../contract/endpoints.ts', import.meta.url).pathname],
        bundle: true,
        write: false,
        format: 'esm',
        platform: 'node',
      }).outputFiles;
      const source = Buffer.from(bundle?.contents ?? []).toString('base64');
      const { endpoints } = (await import(`data:text/javascript;base64,${source}`)) as {
        endpoints: Record<string, Record<string, unknown>>;
      };
      const facts = Object.fromEntries(
        Object.entries(endpoints).map(([name, endpoint]) => [
          name,
          Object.fromEntries(plain.flatMap((fact) => (fact in endpoint ? [[fact, endpoint[fact]]] : []))),
        ]),
      );
      return `export const endpointFacts = ${JSON.stringify(facts)};`;
    },
  };
}
