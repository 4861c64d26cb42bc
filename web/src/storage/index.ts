import { HarinaDatabase } from './database.ts'
import { createRepository } from './repository.ts'

export type { DocumentKind } from './documents.ts'
export type { OpenBatch } from './database.ts'
export { BookFull, checked, PartWorkedOn, PhotosFull, Refused, StoreDropped } from './refusal.ts'
export type { Held, Repository } from './repository.ts'

/** The one store of this browser. Tests make their own from `createRepository`. */
export const repository = createRepository(new HarinaDatabase())
