export * from './documents.ts'
export * from './sheet.ts'
export * from './text.ts'
export * from './workspaceFile.ts'
