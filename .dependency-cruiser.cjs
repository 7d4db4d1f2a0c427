/** Arrows of the house: core <- contract, core <- words, both <- { server, web, cli }; nobody imports upward, features meet through their index. */
const inside = (folder) => `^${folder}/`;
module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-imports-nothing',
      comment: 'The core is pure: no Node, no other workspace, no package.',
      severity: 'error',
      from: { path: inside('core'), pathNot: '\\.test\\.ts$' },
      to: { pathNot: inside('core') },
    },
    {
      name: 'stand-in-knows-no-judge',
      comment: 'A judge that is tested on its own tables reads them back.',
      severity: 'error',
      from: { path: '^core/stand-in/' },
      to: { path: '^core/judge/' },
    },
    {
      name: 'words-on-core-only',
      comment: 'The words know codes and quantities, and nobody who asks for them.',
      severity: 'error',
      from: { path: inside('words'), pathNot: '\\.test\\.ts$' },
      to: { pathNot: ['^(core|words)/', 'node_modules/intl-messageformat'] },
    },
    {
      name: 'contract-on-core-only',
      severity: 'error',
      from: { path: inside('contract'), pathNot: '\\.test\\.ts$' },
      to: { pathNot: ['^(core|contract)/', 'node_modules/(zod|papaparse)'] },
    },
    {
      name: 'server-not-into-web-or-cli',
      severity: 'error',
      from: { path: inside('server') },
      to: { path: '^(web|cli)/' },
    },
    {
      name: 'web-not-into-server-or-cli',
      severity: 'error',
      from: { path: inside('web') },
      to: { path: '^(server|cli)/' },
    },
    {
      name: 'cli-on-core-and-contract',
      severity: 'error',
      from: { path: inside('cli') },
      to: { path: '^(web|server)/' },
    },
    {
      name: 'features-meet-through-index',
      severity: 'error',
      from: { path: '^web/src/features/([^/]+)/' },
      to: {
        path: '^web/src/features/([^/]+)/',
        pathNot: ['^web/src/features/$1/', '^web/src/features/[^/]+/index\\.tsx?$'],
      },
    },
    {
      name: 'ui-below-features',
      severity: 'error',
      from: { path: '^web/src/(ui|lib)/' },
      to: { path: '^web/src/(features|app)/' },
    },
    {
      name: 'only-repo-touches-drizzle',
      comment: 'Routes parse, services decide, the repo is the only place with SQL.',
      severity: 'error',
      from: { path: '^server/modules/', pathNot: 'repo\\.ts$|\\.test\\.ts$' },
      to: { path: 'node_modules/drizzle-orm' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: 'web/dist' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.tsx', '.mjs', '.js', '.json'],
    },
  },
};
