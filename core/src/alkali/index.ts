export * from './bake.ts'
export * from './dose.ts'
export * from './salts.ts'
export * from './solution.ts'
