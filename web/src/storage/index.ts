import { HarinaDatabase, STORE_VERSION } from './database.ts'
import { readLocal, writeLocal } from './local.ts'
import { createRepository } from './repository.ts'

export type { DocumentKind } from './documents.ts'
export type { OpenBatch } from './database.ts'
export { BookFull, checked, PartWorkedOn, PhotosFull, Refused, StoreDropped } from './refusal.ts'
export type { Held, HeldRecords, Repository } from './repository.ts'

/** Noted where clearing the database does not reach: that this browser has held a workspace, and in which version of the store. */
const KEPT = 'harina.kept'
const keptIn = (): string | null => readLocal(KEPT)
export const hasKept = (): boolean => keptIn() !== null
export const noteKept = (): void => writeLocal(KEPT, String(STORE_VERSION))

/** The one store of this browser. Tests make their own from `createRepository`. */
export const repository = createRepository(new HarinaDatabase('harina', keptIn() === String(STORE_VERSION)))
