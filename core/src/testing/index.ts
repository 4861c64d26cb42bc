export { everyReference } from './everyReference.ts'
export * from './mutatedFiles.ts'
