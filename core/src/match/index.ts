export * from './judgeWindow.ts'
export * from './matchShape.ts'
