export * from './learnt.ts'
export * from './stove.ts'
