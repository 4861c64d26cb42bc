export * from './ingredient.ts'
export * from './composition.ts'
