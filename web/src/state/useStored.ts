/** What is too large to be held while it is not looked at: read when a page asks for it, and again when it changes. */
import { batchSchema, type Batch, type Photo } from '@harina/core'
import { useLiveQuery } from 'dexie-react-hooks'
import { repository } from '../storage/index.ts'

const none: readonly Photo[] = []

export const usePhotos = (batch: string): readonly Photo[] =>
  useLiveQuery(() => repository.photosOf(batch), [batch]) ?? none

/** A batch as it is stored; `unreadable` where an older Harina or a slip has left what cannot be shown. */
export type WholeBatch = { readonly of: string } & (
  { readonly is: 'whole'; readonly batch: Batch } | { readonly is: 'unreadable' | 'nowhere' }
)

/** Null until the store has answered for this one. */
export function useWholeBatch(id: string | undefined): WholeBatch | null {
  const found = useLiveQuery(async (): Promise<WholeBatch | null> => {
    if (id === undefined) return null
    const stored = await repository.batches.get(id)
    if (!stored) return { of: id, is: 'nowhere' }
    const read = batchSchema.safeParse(stored)
    return read.success ? { of: id, is: 'whole', batch: read.data } : { of: id, is: 'unreadable' }
  }, [id])
  return found?.of === id ? (found ?? null) : null
}
