export * from './createApp.ts'
export * from './listen.ts'
