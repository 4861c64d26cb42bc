// Far ahead of Greenwich, where a morning is still yesterday there, and with a summer time; the browser tests stand behind it.
process.env.TZ ??= 'Pacific/Auckland'

const transform = {
  '^.+\\.(t|j)sx?$': [
    '@swc/jest',
    {
      jsc: {
        target: 'es2022',
        parser: { syntax: 'typescript', tsx: true },
        transform: { react: { runtime: 'automatic' } },
      },
      module: { type: 'commonjs' },
    },
  ],
}
// Global names are slow to look up in a test's sandbox; what sums are made of is handed in.
const shared = {
  transform,
  sandboxInjectedGlobals: ['Math', 'Number', 'Object', 'Array', 'Map', 'Set', 'Infinity'],
  transformIgnorePatterns: ['/node_modules/(?!(nanoid|echarts|zrender|tslib)/)'],
}

// Every project knows every file, so that the tests related to a change are found wherever they stand.
const roots = ['core/src', 'facts', 'demo/src', 'server/src', 'web/src', 'scripts'].map((part) => `<rootDir>/${part}`)
const project = (displayName, testEnvironment, parts, more = {}) => ({
  ...shared,
  displayName,
  testEnvironment,
  roots,
  testMatch: parts.map((part) => `<rootDir>/${part}/**/*.test.{ts,tsx}`),
  ...more,
})

export default {
  testTimeout: 30_000,
  projects: [
    project('core', 'node', ['core/src']),
    project('parts', 'node', ['facts/src', 'demo/src', 'server/src', 'scripts']),
    project('web', 'jsdom', ['web/src'], { setupFiles: ['<rootDir>/web/jest.setup.js'] }),
  ],
}
