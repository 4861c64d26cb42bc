export * from './boilingPoint.ts'
export * from './mixing.ts'
export * from './pot.ts'
export * from './temper.ts'
