export { counterPress, crank, everyReference } from './everyReference.ts'
export * from './mutatedFiles.ts'
