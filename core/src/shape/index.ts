export * from './blank.ts'
export * from './construction.ts'
export * from './findShapes.ts'
export * from './pieces.ts'
