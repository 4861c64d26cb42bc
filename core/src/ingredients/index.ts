export * from './composition.ts'
