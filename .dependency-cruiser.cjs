/** Imports point inward: app and worker to db and ui, db to core, ui to core. */
const outside = (name, from, to, comment) => ({
  name,
  comment,
  severity: 'error',
  from: { path: from, pathNot: '\\.test\\.tsx?$' },
  to: { path: to },
})

module.exports = {
  forbidden: [
    outside('core-knows-nobody', '^src/core', '^src/(app|db|ui|worker)', 'The core imports nothing of the project but itself.'),
    outside(
      'core-is-pure',
      '^src/core',
      '(^|node_modules/)(react|next|pg|fs|node:|server-only)',
      'No interface, no database, no I/O in the core.',
    ),
    outside('db-knows-core', '^src/db', '^src/(app|ui|worker)', 'The database layer knows the core alone.'),
    outside(
      'ui-knows-core',
      '^src/ui',
      '^src/(app|db|worker)',
      'The interface knows the core alone; the application hands it its actions.',
    ),
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'no-orphans',
      severity: 'error',
      from: { orphan: true, pathNot: ['\\.d\\.ts$', '\\.test\\.tsx?$', '^src/app/', '^src/worker/sw\\.ts$', '^src/proxy\\.ts$'] },
      to: {},
    },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js', '.json', '.css'] },
  },
}
