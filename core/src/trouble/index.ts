export * from './trouble.ts'
