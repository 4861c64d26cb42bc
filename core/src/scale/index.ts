export * from './kitchenScale.ts'
export * from './steady.ts'
