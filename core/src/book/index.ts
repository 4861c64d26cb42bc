export * from './book.ts'
