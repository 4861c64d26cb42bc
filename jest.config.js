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

export default {
  testTimeout: 30_000,
  projects: [
    { ...shared, displayName: 'core', testEnvironment: 'node', roots: ['<rootDir>/core/src'] },
    {
      ...shared,
      displayName: 'parts',
      testEnvironment: 'node',
      roots: ['<rootDir>/facts/src', '<rootDir>/demo/src', '<rootDir>/server/src'],
    },
    {
      ...shared,
      displayName: 'web',
      testEnvironment: 'jsdom',
      roots: ['<rootDir>/web/src'],
      setupFiles: ['<rootDir>/web/jest.setup.js'],
    },
  ],
}
