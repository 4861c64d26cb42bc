export * from './flourLot.ts'
