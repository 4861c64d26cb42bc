export * from './readQuantity.ts'
export * from './units.ts'
export * from './format.ts'
export * from './eggs.ts'
