const FEATURE = '^web/src/features/([^/]+)/';

/** The house's arrows: web → core, server → core, web → server only over HTTP; inside web app → features → client → kit. */
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
    {
      name: 'kit-draws',
      comment: 'kit knows no feature and no server.',
      severity: 'error',
      from: { path: '^web/src/kit/' },
      to: { path: '^web/src/(client|features|app)/' },
    },
    {
      name: 'client-knows-no-feature',
      severity: 'error',
      from: { path: '^web/src/client/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^web/src/(features|app)/' },
    },
    {
      name: 'app-is-the-top',
      comment: 'Shell, router and store are imported by nobody.',
      severity: 'error',
      from: { path: '^web/src/(features|client|kit)/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^web/src/app/' },
    },
    {
      name: 'own-page-is-small',
      comment:
        'The trainee’s page is a program of its own: it draws with the kit, keeps with the client, and knows nothing of the coach’s.',
      severity: 'error',
      from: { path: '^web/src/own/' },
      to: {
        path: '^web/src/(features|app)/|node_modules/(react-router|react-redux|@reduxjs|class-validator)/',
        dependencyTypesNot: ['type-only'],
      },
    },
    {
      name: 'own-page-is-a-top',
      severity: 'error',
      from: { path: '^web/src/(features|app|client|kit)/' },
      to: { path: '^web/src/own/' },
    },
    {
      name: 'features-meet-at-the-door',
      comment: 'A feature is known to others by its index alone.',
      severity: 'error',
      from: { path: FEATURE },
      to: { path: FEATURE, pathNot: ['^web/src/features/$1/', '/index\\.ts$'] },
    },
    {
      name: 'app-opens-pages',
      comment: 'The router names pages; anything else of a feature comes through its index.',
      severity: 'error',
      from: { path: '^web/src/app/' },
      to: { path: FEATURE, pathNot: ['(Page|Gate|Layout)\\.tsx$', '/index\\.ts$'] },
    },
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'no-circular-folders',
      severity: 'error',
      scope: 'folder',
      from: {},
      to: { circular: true },
    },
    { name: 'no-unresolvable', severity: 'error', from: {}, to: { couldNotResolve: true, pathNot: '\\?(url|worker)$|\\.css$' } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.test\\.tsx?$' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.tsx', '.mjs', '.js', '.css', '.json'],
    },
  },
};
