export * from './parseQuantity.ts'
export * from './format.ts'
