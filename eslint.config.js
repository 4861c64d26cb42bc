import js from '@eslint/js'
import hooks from 'eslint-plugin-react-hooks'
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript'
import { importX } from 'eslint-plugin-import-x'
import globals from 'globals'
import ts from 'typescript-eslint'

/** Arrows between the parts: each may import only what is named for it (docs/architecture.md). */
const arrows = (...allowed) => ({
  regex: `^@harina/(?!(${allowed.join('|') || 'none'})(/|$))`,
  message: 'This arrow is not in docs/architecture.md.',
})
const climbing = {
  regex: '^(\\.\\./){3,}',
  message:
    'Imports do not climb past ../..; in the client write #web/…, elsewhere the package name, or move the piece down.',
}
const restricted = (...patterns) => ({ 'no-restricted-imports': ['error', { patterns: [...patterns, climbing] }] })
const only = (...allowed) => restricted(arrows(...allowed))

/** A station stands on its own; what two share moves down to ui, storage or core. */
const noClock = [
  {
    selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
    message: 'Time comes as an argument.',
  },
  { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'Time comes as an argument.' },
  { selector: "MemberExpression[object.name='Math'][property.name='random']", message: 'Chance comes as an argument.' },
]

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

const stations = ['formula', 'shape', 'bench', 'log', 'gear']
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

export default ts.config(
  { ignores: ['**/dist/**', '**/node_modules/**', 'coverage/**'] },
  js.configs.recommended,
  ...ts.configs.strict,
  {
    plugins: { import: importX },
    settings: {
      'import-x/resolver-next': [createTypeScriptImportResolver()],
      'import-x/extensions': ['.ts', '.tsx'],
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'] },
    },
    rules: { 'import/no-cycle': ['error', { ignoreExternal: true }] },
  },
  {
    rules: {
      eqeqeq: 'error',
      'no-restricted-syntax': [
        'error',
        {
          selector: 'ExportDefaultDeclaration',
          message: 'Named exports only; a lazily loaded view may have a default.',
        },
      ],
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
      // Leaving a key out of a record is written as taking it apart.
      '@typescript-eslint/no-unused-vars': [
        'error',
        { varsIgnorePattern: '^_', argsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
    },
  },
  {
    files: ['core/src/**'],
    rules: {
      ...restricted(arrows(), {
        regex: '^\\.\\./[a-z]+/(?!index\\.ts$)',
        message: 'A room of the core has one door, its index.',
      }),
      'no-restricted-globals': ['error', 'performance', 'console', 'process', 'window', 'document'],
      'no-restricted-syntax': ['error', ...noClock],
    },
  },
  {
    files: ['core/src/**/*.test.ts', 'core/src/testing/**'],
    rules: { ...only('facts'), 'no-restricted-globals': 'off' },
  },
  { files: ['facts/src/**', 'server/src/**'], rules: only('core') },
  { files: ['demo/src/**'], rules: { ...only('core', 'facts'), 'no-restricted-syntax': ['error', ...noClock] } },
  { files: ['e2e/src/**'], rules: only('core', 'facts', 'demo', 'server', 'e2e') },
  { files: ['web/src/**'], rules: only('core', 'facts'), languageOptions: { globals: globals.browser } },
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
    ignores: ['**/*.test.tsx'],
    ...hooks.configs.flat['recommended-latest'],
  },
  {
    files: [
      'web/src/stations/**/*.tsx',
      'web/src/app/{Find,ShortcutList,Toasts}.tsx',
      '*.config.{js,ts}',
      '*/*.config.{js,ts}',
    ],
    rules: { 'no-restricted-syntax': 'off' },
  },
  {
    files: ['scripts/**', 'e2e/**', '*.config.js', 'web/*.js'],
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
  },
)
