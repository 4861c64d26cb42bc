export * from './harness.ts'
