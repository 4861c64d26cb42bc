/** Records that stand alone in a table: read whole, written as a difference on top of what is stored. */
import { defaultGear, withDifference, type Difference, type Photo, type RecordKind, type Records } from '@harina/core'
import type { Table } from 'dexie'
import type { HarinaDatabase } from './database.ts'
import { checked, PhotosFull } from './refusal.ts'

export type DocumentKind = Exclude<RecordKind, 'batch'>

/** What photos may come to, all together, so that one file can carry them and everything else. */
export const PHOTOS_MOST_CHARACTERS = 240_000_000

export function documentTables(db: HarinaDatabase, photosMost: number) {
  const tables = {
    formula: db.formulas,
    lot: db.lots,
    ingredient: db.ingredients,
    shape: db.shapes,
    photo: db.photos,
    gear: db.gear,
    draft: db.drafts,
  } as unknown as { readonly [K in DocumentKind]: Table<Records[K], string> }

  const roomFor = async ({ id, base64 }: Photo): Promise<void> => {
    const held = (await db.photos.get(id))?.base64.length ?? 0
    const lengths = (await db.photos.orderBy('base64.length').keys()) as unknown as number[]
    const sum = lengths.reduce((total, length) => total + length, 0)
    if (sum - held + base64.length > photosMost) throw new PhotosFull()
  }

  return {
    tables,
    read: <K extends DocumentKind>(kind: K): Promise<Records[K][]> => tables[kind].toArray(),
    photosOf: (batch: string): Promise<Photo[]> => db.photos.where('batch').equals(batch).sortBy('at'),

    /** The record whole, where none was or another. */
    put: async <K extends DocumentKind>(kind: K, record: Records[K]): Promise<void> => {
      await tables[kind].put(checked(kind, record))
    },

    /** Each difference in turn, on what is stored; null where the record goes, or went meanwhile. */
    write: <K extends DocumentKind>(
      kind: K,
      id: string,
      differences: readonly Difference[],
    ): Promise<Records[K] | null> =>
      db.transaction('rw', tables[kind], async () => {
        const stored: unknown = (await tables[kind].get(id)) ?? (kind === 'gear' ? defaultGear : undefined)
        const next: unknown = differences.reduce(
          (record: unknown, difference) => withDifference(record, difference),
          stored,
        )
        if (next === undefined) {
          await tables[kind].delete(id)
          return null
        }
        const record = checked(kind, next)
        if (kind === 'photo') await roomFor(record as Photo)
        await tables[kind].put(record)
        return record
      }),
  }
}
