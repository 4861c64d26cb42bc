export * from './learnt.ts'
export * from './times.ts'
export * from './together.ts'
export * from './water.ts'
