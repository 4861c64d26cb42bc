export * from './piece.ts'
export * from './forecast.ts'
export * from './programme.ts'
