export * from './flavour.ts'
