export * from './kitchenScale.ts'
export * from './steady.ts'
export * from './scaleCheck.ts'
