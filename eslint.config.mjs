import next from 'eslint-config-next/core-web-vitals'
import typescript from 'eslint-config-next/typescript'
import sorted from 'eslint-plugin-simple-import-sort'

/** What only the types can tell: it takes as long as all the rest, so `./itinerum test quick` leaves it out. */
const typed = {
  files: ['src/**/*.{ts,tsx}', 'e2e/**/*.ts', 'scripts/**/*.ts'],
  languageOptions: { parserOptions: { projectService: true } },
  rules: {
    '@typescript-eslint/no-floating-promises': 'error',
    '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
    '@typescript-eslint/no-unnecessary-type-assertion': 'error',
    '@typescript-eslint/await-thenable': 'error',
    '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
  },
}

const isQuick = process.env.ITINERUM_QUICK !== undefined
const off = (rules) => Object.fromEntries(rules.map((rule) => [rule, 'off']))
const drawing = next
  .flatMap(({ rules }) => Object.keys(rules ?? {}))
  .filter((rule) => /^(react|react-hooks|jsx-a11y)\//.test(rule))
/** Where nothing is drawn, nothing is asked as to how it is. */
const nothingDrawn = {
  files: ['src/{core,db,words,worker,outbox}/**', 'src/**/*.test.ts', '{scripts,e2e,sensor,docs}/**'],
  rules: off(drawing),
}
/** What only compiling a component can tell: again as long, and left out likewise. */
const compiled = { rules: off(drawing.filter((rule) => /^react-hooks\/(?!rules-of-hooks|exhaustive-deps)/.test(rule))) }

const config = [
  { ignores: ['.next/**', '.data/**', 'node_modules/**', 'next-env.d.ts', 'test-results/**', 'public/sw.js'] },
  ...next,
  ...typescript,
  nothingDrawn,
  {
    plugins: { sorted },
    rules: {
      // in one block: packages, then what is farther inside before what is nearer, then styles
      'sorted/imports': ['error', { groups: [['^\\u0000', '^node:', '^@?\\w', '^@/', '^\\.', '^.+\\.css$']] }],
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', destructuredArrayIgnorePattern: '^_' },
      ],
      '@typescript-eslint/no-explicit-any': 'error',
      eqeqeq: 'error',
    },
  },
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      // what a module is asked for stands in one line; types alone are imported as types
      'import/no-duplicates': ['error', { 'prefer-inline': true }],
      '@typescript-eslint/no-import-type-side-effects': 'error',
    },
  },
  {
    files: ['src/**'],
    ignores: ['src/ui/frame/Link.tsx'],
    rules: {
      'no-restricted-imports': [
        'error',
        { name: 'next/link', message: 'Take Link from @/ui/frame/Link: it asks for nothing before a tap.' },
      ],
    },
  },
  ...(isQuick ? [compiled] : [typed]),
  {
    files: ['src/core/**'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'fetch', 'process', 'window', 'document', 'localStorage'],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The core knows no clock: take now as an argument.' },
        { object: 'Math', property: 'random', message: 'The core knows no chance: take a seed as an argument.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'The core knows no clock: take now as an argument.',
        },
      ],
    },
  },
]
export default config
