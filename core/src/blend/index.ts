export * from './blend.ts'
export * from './lpText.ts'
