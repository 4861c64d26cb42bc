export * from './flourLot.ts'
export * from './flourLotAir.ts'
