export * from './blend.ts'
