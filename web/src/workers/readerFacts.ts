/** Measures and names that recipes are read and written with. */
import type { ReaderFacts } from '@harina/core/recipe'
import rows from '@harina/facts/reader.json'

// The tables' own test holds the file to the schema; its literals are wider to the compiler.
export const readerFacts = rows as unknown as ReaderFacts
