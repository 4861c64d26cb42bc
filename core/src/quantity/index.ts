export * from './parseQuantity.ts'
export * from './units.ts'
export * from './format.ts'
