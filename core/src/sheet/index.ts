export * from './computeSheet.ts'
export * from './editSheet.ts'
export * from './kitchen.ts'
export * from './sheetNotes.ts'
