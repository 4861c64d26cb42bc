export default {
  testEnvironment: 'node',
  roots: ['<rootDir>/src'],
  testSequencer: '<rootDir>/sequencer.js',
  testTimeout: 120_000,
  transform: {
    '^.+\\.(t|j)sx?$': [
      '@swc/jest',
      { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'commonjs' } },
    ],
  },
}
