/**
 * What was changed here and is not known to be stored: laid over whatever the store tells, so that its late answers never
 * take a letter back. A change stays until the store has been asked again after it was written.
 */
import { withDifference, type Difference } from '@harina/core'

export interface Pending {
  readonly difference: Difference
  /** The count of writes when it was stored; null before. */
  storedAt: number | null
}

export interface PendingChanges {
  /** Writes done so far: what the store tells is as of one of them. */
  readonly writes: number
  add(key: string, difference: Difference): Pending
  /** In the order they were made. */
  unwritten(key: string): readonly Pending[]
  written(changes: readonly Pending[]): void
  drop(key: string, changes: readonly Pending[]): void
  /** What the store told, asked when so many writes were done, with what is newer on top. */
  over(key: string, stored: unknown, asOf: number): unknown
  keys(): readonly string[]
}

export function createPending(): PendingChanges {
  const byKey = new Map<string, Pending[]>()
  let writes = 0
  const keep = (key: string, changes: Pending[]) => {
    if (changes.length > 0) byKey.set(key, changes)
    else byKey.delete(key)
  }
  return {
    get writes() {
      return writes
    },
    add(key, difference) {
      const made: Pending = { difference, storedAt: null }
      keep(key, [...(byKey.get(key) ?? []), made])
      return made
    },
    unwritten: (key) => (byKey.get(key) ?? []).filter(({ storedAt }) => storedAt === null),
    written(changes) {
      writes += 1
      for (const each of changes) each.storedAt = writes
    },
    drop: (key, changes) =>
      keep(
        key,
        (byKey.get(key) ?? []).filter((each) => !changes.includes(each)),
      ),
    over(key, stored, asOf) {
      const newer = (byKey.get(key) ?? []).filter(({ storedAt }) => storedAt === null || storedAt > asOf)
      keep(key, newer)
      return newer.reduce((record, { difference }) => withDifference(record, difference), stored)
    },
    keys: () => [...byKey.keys()],
  }
}
