export { counterPress, crank, everyReference } from './everyReference.ts'
export * from './mutatedFiles.ts'
export { coverage, evenNumbers } from './coverage.ts'
export { seriesErrors, stiffRequest } from './seriesMean.ts'
