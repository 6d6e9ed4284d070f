/** The direction of imports: data and core at the bottom, routes at the top. */
module.exports = {
  forbidden: [
    {
      name: 'core-stays-inside-itself',
      comment:
        'The core is pure calculation: only itself, data, and packages that run in bare Node.',
      severity: 'error',
      from: { path: '^src/core', pathNot: '\\.test\\.ts$' },
      to: { path: '^(src/(?!core|data)|app|server|demo|scripts)' },
    },
    {
      name: 'core-packages',
      severity: 'error',
      from: { path: '^src/(core|data)', pathNot: '\\.test\\.ts$|tests/' },
      to: {
        path: 'node_modules',
        pathNot:
          'node_modules/(zod|crc-32|fflate|ical\\.js|culori|ml-matrix|@stdlib|pure-rand|date-fns|@date-fns/tz|suncalc|papaparse|pdf-lib|@pdf-lib/fontkit|qrcode)',
      },
    },
    {
      name: 'data-knows-nothing',
      severity: 'error',
      from: { path: '^src/data', pathNot: '\\.test\\.ts$' },
      to: { path: '^(src/(?!data)|app|server)' },
    },
    {
      name: 'ui-knows-no-feature',
      severity: 'error',
      from: { path: '^src/ui' },
      to: { path: '^(src/(features|store)|app)' },
    },
    {
      name: 'routes-only-at-the-top',
      severity: 'error',
      from: { path: '^src' },
      to: { path: '^app' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: { path: '^src' },
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only', 'dynamic-import'] } },
    },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.expo' },
  },
};
