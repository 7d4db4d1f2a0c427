import { existsSync, mkdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import { buildSync } from 'esbuild';

/** The component library as one file: loading its thousand modules anew takes every suite a second. Made once for each of its versions. */
const { version } = createRequire(import.meta.url)('@chakra-ui/react/package.json');
const components = new URL(`.cache/chakra-${version}.mjs`, import.meta.url).pathname;
if (!existsSync(components)) {
  mkdirSync(new URL('.cache', import.meta.url).pathname, { recursive: true });
  buildSync({
    stdin: { contents: "export * from '@chakra-ui/react'", resolveDir: import.meta.dirname },
    bundle: true,
    format: 'esm',
    platform: 'browser',
    external: ['react', 'react-dom', 'react/*', 'react-dom/*', '@emotion/*'],
    outfile: components,
    logLevel: 'warning',
  });
}

/** Three projects: what runs in Node, the server against a real PostgreSQL, and what needs a DOM. */
const swc = (syntax) => [
  '<rootDir>/jest.transform.mjs',
  {
    jsc: {
      parser: { syntax: 'typescript', tsx: syntax === 'tsx' },
      target: 'es2023',
      experimental: { keepImportAttributes: true },
      transform: { react: { runtime: 'automatic' } },
    },
    module: { type: 'es6' },
  },
];
const common = {
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: { '\\.tsx$': swc('tsx'), '\\.ts$': swc('ts') },
  modulePathIgnorePatterns: ['<rootDir>/data/', '<rootDir>/web/dist/'],
};

export default {
  testTimeout: 30_000,
  // Jest's own default on two cores is one.
  maxWorkers: 2,
  projects: [
    {
      ...common,
      displayName: 'core',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/{core,words,contract,cli}/**/*.test.ts'],
    },
    {
      ...common,
      displayName: 'server',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/{server,scripts}/**/*.test.ts'],
      globalSetup: '<rootDir>/server/testing/start-cluster.mjs',
      globalTeardown: '<rootDir>/server/testing/stop-cluster.mjs',
    },
    {
      ...common,
      displayName: 'web',
      setupFiles: ['<rootDir>/web/src/testing/speak-english.ts'],
      testEnvironment: '<rootDir>/jest.environment.mjs',
      testMatch: ['<rootDir>/web/**/*.test.{ts,tsx}'],
      moduleNameMapper: {
        '^@chakra-ui/react$': components,
        '\\.css$': '<rootDir>/web/src/testing/empty.ts',
        '^@fontsource': '<rootDir>/web/src/testing/empty.ts',
      },
    },
  ],
};
