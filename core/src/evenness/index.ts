export * from './evenness.ts'
