export * from './book.ts'
export * from './starterBook.ts'
