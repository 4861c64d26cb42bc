export * from './rope.ts'
export * from './shape.ts'
