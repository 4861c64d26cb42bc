export * from './mergeFile.ts'
export * from './readFile.ts'
export * from './references.ts'
export * from './workspace.ts'
