export * from './piece.ts'
export * from './forecast.ts'
export * from './learnt.ts'
export * from './programme.ts'
