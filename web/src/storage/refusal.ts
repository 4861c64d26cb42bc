/** What cannot be stored, and why: each is told in its own words, and nothing of it is written. */
import { kinds, type RecordKind, type Records } from '@harina/core'
import type { z } from '@harina/core'

/** The schema that reads files would not take it. */
export class Refused extends Error {
  constructor(
    readonly kind: RecordKind | 'event',
    readonly issue: z.core.$ZodIssue | undefined,
  ) {
    super(`${kind} refused at ${issue?.path.join('.') ?? ''}: ${issue?.message ?? ''}`)
  }
}

/** The split of a batch cannot be taken back: its other part has gone its own way. */
export class PartWorkedOn extends Error {}

/** The book of one batch takes no more entries. */
export class BookFull extends Error {}

/** All photos together would be more than a file can carry. */
export class PhotosFull extends Error {}

/** The browser has thrown away what it kept while this page was open; what the page holds can be put back. */
export class StoreDropped extends Error {}

/** As the schema of its kind has it: everything that is written goes through here, as everything that is read does. */
export function checked<K extends RecordKind>(kind: K, record: unknown): Records[K] {
  const read = kinds[kind].schema.safeParse(record)
  if (!read.success) throw new Refused(kind, read.error.issues[0])
  return read.data as Records[K]
}
