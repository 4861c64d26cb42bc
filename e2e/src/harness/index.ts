export * from './actions.ts'
export * from './harness.ts'
export * from './files.ts'
export * from './readPdf.ts'
