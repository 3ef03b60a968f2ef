/** The house's arrows: web → core, server → core, web → server only over HTTP. */
module.exports = {
  forbidden: [
    {
      name: 'core-is-pure',
      comment: 'core computes: no other room, no platform, no interface.',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$' },
      to: { path: '^(server|web)/|^node:|node_modules/(react|fastify|better-sqlite3)', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'core-without-platform',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    { name: 'server-not-web', severity: 'error', from: { path: '^server/src' }, to: { path: '^web/' } },
    { name: 'web-not-server', severity: 'error', from: { path: '^web/src' }, to: { path: '^server/' } },
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    { name: 'no-unresolvable', severity: 'error', from: {}, to: { couldNotResolve: true, pathNot: '\\?(url|worker)$|\\.css$' } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.tsx', '.mjs', '.js', '.css', '.json'],
    },
  },
};
