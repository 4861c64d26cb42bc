export { counterPress, crank, everyReference } from './everyReference.ts'
export * from './mutatedFiles.ts'
export { seriesErrors, stiffRequest } from './seriesMean.ts'
export { evenNumbers } from './evenNumbers.ts'
