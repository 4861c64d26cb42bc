import js from '@eslint/js'
import hooks from 'eslint-plugin-react-hooks'
import globals from 'globals'
import ts from 'typescript-eslint'

/** Arrows between the parts: each may import only what is named for it (docs/architecture.md). */
const only = (...allowed) => ({
  'no-restricted-imports': [
    'error',
    {
      patterns: [
        {
          regex: `^@harina/(?!(${allowed.join('|') || 'none'})(/|$))`,
          message: 'This arrow is not in docs/architecture.md.',
        },
        {
          regex: '^(\\.\\./){3,}',
          message: 'Imports do not climb past ../..; use the package name or move the piece down.',
        },
      ],
    },
  ],
})

/** A station stands on its own; what two share moves down to ui, storage or core. */
const stations = ['formula', 'shape', 'bench', 'log', 'gear']
const stationRules = stations.map((station) => ({
  files: [`web/src/stations/${station}/**`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          { regex: `(^|/)stations/`, message: 'A station never imports another station.' },
          {
            regex: `^\\.\\./(${stations.filter((other) => other !== station).join('|')})(/|$)`,
            message: 'A station never imports another station.',
          },
          { regex: '^@harina/(?!(core|facts)(/|$))', message: 'This arrow is not in docs/architecture.md.' },
        ],
      },
    ],
  },
}))

export default ts.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '**/*.local.ts', 'coverage/**'] },
  js.configs.recommended,
  ...ts.configs.strict,
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
    },
  },
  {
    files: ['core/src/**'],
    rules: {
      ...only(),
      'no-restricted-globals': ['error', 'Date', 'performance', 'console', 'process', 'window', 'document'],
    },
  },
  {
    files: ['core/src/**/*.test.ts', 'core/src/testing/**'],
    rules: { ...only('facts'), 'no-restricted-globals': 'off' },
  },
  // Dates are parsed, never asked for: Date.parse and a Date from a number are pure.
  { files: ['core/src/bench/**', 'demo/src/**'], rules: { 'no-restricted-globals': 'off' } },
  { files: ['facts/src/**', 'server/src/**'], rules: only('core') },
  { files: ['demo/src/**'], rules: only('core', 'facts') },
  { files: ['e2e/src/**'], rules: only('core', 'demo', 'server', 'e2e') },
  { files: ['web/src/**'], rules: only('core', 'facts'), languageOptions: { globals: globals.browser } },
  ...stationRules,
  {
    files: ['web/src/ui/**', 'web/src/storage/**', 'web/src/workers/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ regex: '/stations/', message: 'Arrows point down: stations use ui, storage and workers.' }] },
      ],
    },
  },
  { files: ['web/src/**/*.{ts,tsx}'], ...hooks.configs.flat['recommended-latest'] },
  {
    files: [
      'web/src/stations/*/*.tsx',
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
