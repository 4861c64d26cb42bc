/** Records that stand alone in a table: read whole, written as a difference on top of what is stored. */
import {
  defaultGear,
  RECORD_KINDS,
  withDifference,
  type Difference,
  type Photo,
  type RecordKind,
  type Records,
} from '@harina/core'
import type { HarinaDatabase } from './database.ts'
import { checked, PhotosFull } from './refusal.ts'

export type DocumentKind = Exclude<RecordKind, 'batch'>
export const DOCUMENT_KINDS = RECORD_KINDS.filter((kind): kind is DocumentKind => kind !== 'batch')

/** What photos may come to, all together, so that one file can carry them and everything else. */
export const PHOTOS_MOST_CHARACTERS = 240_000_000

export function documentTables(db: HarinaDatabase, photosMost: number) {
  const roomFor = async ({ id, base64 }: Photo): Promise<void> => {
    const held = (await db.photos.get(id))?.base64.length ?? 0
    const lengths = (await db.photos.orderBy('base64.length').keys()) as unknown as number[]
    const sum = lengths.reduce((total, length) => total + length, 0)
    if (sum - held + base64.length > photosMost) throw new PhotosFull()
  }

  return {
    read: <K extends DocumentKind>(kind: K): Promise<Records[K][]> => db.tableOf(kind).toArray(),
    photosOf: (batch: string): Promise<Photo[]> => db.photos.where('batch').equals(batch).sortBy('at'),

    /** The record whole, where none was or another. */
    put: async <K extends DocumentKind>(kind: K, record: Records[K]): Promise<void> => {
      await db.tableOf(kind).put(checked(kind, record))
    },

    /** Each difference in turn, on what is stored; null where the record goes, or went meanwhile. */
    write: <K extends DocumentKind>(
      kind: K,
      id: string,
      differences: readonly Difference[],
    ): Promise<Records[K] | null> => {
      const table = db.tableOf(kind)
      return db.transaction('rw', table, async () => {
        const stored: unknown = (await table.get(id)) ?? (kind === 'gear' ? defaultGear : undefined)
        const next: unknown = differences.reduce(
          (record: unknown, difference) => withDifference(record, difference),
          stored,
        )
        if (next === undefined) {
          await table.delete(id)
          return null
        }
        const record = checked(kind, next)
        if (kind === 'photo') await roomFor(record as Photo)
        await table.put(record)
        return record
      })
    },
  }
}
