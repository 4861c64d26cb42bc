export * from './limits.ts'
