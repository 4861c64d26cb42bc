import { readdirSync } from 'node:fs'

/** Arrows between the parts: each may import only what is named for it (docs/architecture.md). */
const parts = ['core', 'facts', 'demo', 'server', 'web', 'e2e']
const arrows = (...allowed) => ({
  regex: `^@harina/(${parts.filter((part) => !allowed.includes(part)).join('|')})(/|$)`,
  message: 'This arrow is not in docs/architecture.md.',
})
const climbing = {
  regex: '^(\\.\\./){3,}',
  message:
    'Imports do not climb past ../..; in the client write #web/…, elsewhere the package name, or move the piece down.',
}
const restricted = (...patterns) => ({ 'no-restricted-imports': ['error', { patterns: [...patterns, climbing] }] })
const only = (...allowed) => restricted(arrows(...allowed))

const noClock = {
  'no-restricted-properties': [
    'error',
    { object: 'Date', property: 'now', message: 'Time comes as an argument.' },
    { object: 'Math', property: 'random', message: 'Chance comes as an argument.' },
  ],
  'harina/no-now': 'error',
}

/** Inside the client arrows point down: app → stations → ui → state → storage and workers. Only `state` touches the store. */
const layer = (folder, ...above) => ({
  files: [`web/src/${folder}/**`],
  rules: restricted(
    {
      regex: `^(#web|\\.\\.(/\\.\\.)*)/(${above.join('|')})/`,
      message:
        'Arrows point down: app → stations → ui → state → storage; words stand beside ui and know the core alone.',
    },
    arrows('core', 'facts'),
  ),
})

/** A station stands on its own; what two share moves down to ui, state or core. */
const stations = readdirSync(new URL('web/src/stations', import.meta.url)).filter((name) => !name.includes('.'))
const stationRules = stations.map((station) => ({
  files: [`web/src/stations/${station}/**`],
  rules: restricted(
    { regex: `(^|/)stations/`, message: 'A station never imports another station.' },
    { regex: '/storage/', message: 'One room touches the store: state.' },
    { regex: '/app/', message: 'Arrows point down: app → stations → ui → state → storage.' },
    {
      regex: `^\\.\\./(${stations.filter((other) => other !== station).join('|')})(/|$)`,
      message: 'A station never imports another station.',
    },
    arrows('core', 'facts'),
  ),
}))

/** `npm run lint`: the linter's own judgement of what is wrong, the arrows between the parts, and no circle anywhere. */
export default {
  plugins: ['typescript', 'import', 'react', 'oxc', 'unicorn'],
  jsPlugins: ['./scripts/lint/noNow.mjs'],
  categories: { correctness: 'error' },
  ignorePatterns: ['**/dist/**', 'coverage/**'],
  rules: {
    eqeqeq: 'error',
    'import/no-cycle': ['error', { ignoreExternal: true, ignoreTypes: false }],
    'import/no-default-export': 'error',
    'no-useless-assignment': 'error',
    'typescript/ban-ts-comment': 'error',
    'typescript/consistent-type-imports': 'error',
    'typescript/no-dynamic-delete': 'error',
    'typescript/no-empty-object-type': 'error',
    'typescript/no-explicit-any': 'error',
    'typescript/no-extraneous-class': 'error',
    'typescript/no-require-imports': 'error',
    'typescript/no-unsafe-function-type': 'error',
    'typescript/unified-signatures': 'error',
    'prefer-const': 'error',
    'no-var': 'error',
    // A step of a kind is a name among others; figures stand in rows by what they are.
    'unicorn/no-thenable': 'off',
    'unicorn/no-useless-spread': 'off',
    // A hint for the compiler of components, which is not used here.
    'react/incompatible-library': 'off',
    'no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_', ignoreRestSiblings: true }],
  },
  overrides: [
    {
      files: ['core/src/**'],
      rules: {
        ...restricted(arrows(), {
          group: ['../*/*', '!../*/index.ts', '!../../zod.ts', '!../../result.ts'],
          message: 'A room of the core has one door, its index.',
        }),
        'no-restricted-globals': ['error', 'performance', 'console', 'process', 'window', 'document'],
        ...noClock,
      },
    },
    {
      files: ['core/src/**/*.test.ts', 'core/src/testing/**'],
      rules: { ...only('facts'), 'no-restricted-globals': 'off' },
    },
    { files: ['facts/src/**', 'server/src/**'], rules: only('core') },
    { files: ['demo/src/**'], rules: { ...only('core', 'facts'), ...noClock } },
    { files: ['e2e/src/**'], rules: only('core', 'facts', 'demo', 'server', 'e2e') },
    { files: ['web/src/**'], rules: only('core', 'facts') },
    ...stationRules,
    layer('ui', 'app', 'stations', 'storage'),
    layer('app', 'storage'),
    layer('state', 'app', 'stations', 'ui'),
    layer('storage', 'app', 'stations', 'ui', 'state'),
    layer('workers', 'app', 'stations', 'ui', 'state'),
    layer('devices', 'app', 'stations', 'ui', 'state'),
    layer('words', 'app', 'stations', 'ui', 'state', 'storage', 'workers', 'devices'),
    // Tests of the client may lay out the demo workspace.
    { files: ['web/src/**/*.test.{ts,tsx}', 'web/src/testing/**'], rules: only('core', 'facts', 'demo') },
    {
      files: ['web/src/**/*.tsx', 'web/src/**/use*.ts'],
      rules: { 'react/rules-of-hooks': 'error', 'react/exhaustive-deps': 'error', 'react/static-components': 'error' },
    },
    // A lazily loaded view has a default.
    {
      files: [
        'web/src/stations/**/*.tsx',
        'web/src/app/{Find,Help,Toasts}.tsx',
        '*.config.{js,mjs,ts}',
        '*/*.config.{js,ts}',
        'scripts/lint/*.mjs',
        'e2e/sequencer.js',
      ],
      rules: { 'import/no-default-export': 'off' },
    },
  ],
}
