export * from './stove.ts'
