/** Imports point inward, and inside the core downward. */
const outside = (name, from, to, comment) => ({
  name,
  comment,
  severity: 'error',
  // what tests stand on is of the tests
  from: { path: from, pathNot: '\\.test\\.tsx?$|/testing/' },
  to: { path: to },
})

/** The core's floors from the ground up: a floor knows those below it and none above. */
const floors = [
  'measure',
  'drying',
  'climate',
  'craft',
  'finish',
  'stack',
  'assess',
  'plan',
  'schedule',
  'price',
  'stock',
  'log',
  'learn',
  'piece',
  'house',
  'bench',
  'week',
  'input',
  'desk',
]
const core = (names) => `^src/core/(${names.join('|')})/`
const downward = floors.slice(0, -1).map((floor, k) => ({
  name: `core-${floor}-looks-down`,
  comment: 'No arrow in the core runs back up.',
  severity: 'error',
  from: { path: core([floor]), pathNot: '\\.test\\.ts$' },
  to: { path: core(floors.slice(k + 1)) },
}))

module.exports = {
  forbidden: [
    ...downward,
    {
      name: 'core-has-floors-alone',
      comment: 'A new folder of the core is given its floor here.',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/core/', pathNot: `${core(floors)}|^src/core/(testing|index)` },
    },
    outside(
      'core-knows-nobody',
      '^src/core',
      '^src/(app|db|outbox|ui|words|worker)',
      'The core imports nothing of the project but itself.',
    ),
    outside(
      'core-is-pure',
      '^src/core',
      '(^|node_modules/)(react|next|pg|fs|node:|server-only)',
      'No interface, no database, no I/O in the core.',
    ),
    outside('words-know-core', '^src/words', '^src/(app|db|outbox|ui|worker)', 'Sentences are made of codes alone.'),
    outside(
      'outbox-is-an-engine',
      '^src/outbox',
      '(^src/(app|db|ui|worker)|(^|node_modules/)(react|next)/)',
      'The offline engine knows no interface.',
    ),
    outside('db-knows-core', '^src/db', '^src/(app|outbox|ui|words|worker)', 'The database layer knows the core alone.'),
    outside(
      'ui-knows-core',
      '^src/ui',
      '^src/(app|db|worker)',
      'The interface knows the core, the words and the outbox; the application hands it its actions.',
    ),
    outside(
      'papers-know-words',
      '^src/papers',
      '^src/(app|db|outbox|ui|worker)',
      'What is printed is made of the core and the words.',
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
