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
      name: 'base-knows-no-weld',
      severity: 'error',
      from: { path: '^core/base/', pathNot: '\\.test\\.ts$' },
      to: { path: '^core/', pathNot: '^core/base/' },
    },
    {
      name: 'metal-on-base-only',
      comment: 'Metals, gases and the physics of wire and arc know no setting and no machine.',
      severity: 'error',
      from: { path: '^core/metal/', pathNot: '\\.test\\.ts$' },
      to: { path: '^core/', pathNot: '^core/(base|metal)/' },
    },
    {
      name: 'nothing-on-the-day',
      comment: 'The day is planned from what everything else says; nothing is computed from the day.',
      severity: 'error',
      from: { path: '^core/', pathNot: ['^core/day/', '\\.test\\.ts$'] },
      to: { path: '^core/day/' },
    },
    {
      name: 'evidence-comes-after-the-weld',
      comment: 'Only the stand-in writes down what a careful look would find.',
      severity: 'error',
      from: { path: '^core/(setting|machine|weld|site)/', pathNot: ['^core/weld/stand-in/', '\\.test\\.ts$'] },
      to: { path: '^core/evidence/' },
    },
    {
      name: 'stand-in-knows-no-judge',
      comment: 'A judge that is tested on its own tables reads them back.',
      severity: 'error',
      from: { path: '^core/weld/stand-in/' },
      to: { path: '^core/evidence/judge/' },
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
