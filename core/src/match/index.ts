export * from './judgeWindow.ts'
export * from './matchShape.ts'
export * from './methodMap.ts'
export * from './doughsFor.ts'
